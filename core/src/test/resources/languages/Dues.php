<?php
namespace Quay;
enum Kind { case Tug; case Tanker; case Yacht; }
class Vessel { public function __construct(public Kind $kind, public int $length, public int $tonnage) {} }
class Pilot {
    public function __construct(private int $fee, public readonly string $name) {}
    public function cost(int $n): int { return $this->fee * $n; }
}
class PilotRoster {
    /** @var Pilot[] */
    private array $pilots;
    public function __construct() { $this->pilots = unserialize(file_get_contents('pilots.txt')); }
    public function find(string $name): ?Pilot {
        foreach ($this->pilots as $each) { if ($each->name === $name) { return $each; } }
        return null;
    }
}
class Dues {
    private PilotRoster $roster;
    private int $quoted = 0;
    public function __construct() { $this->roster = new PilotRoster(); }
    public function quote(Vessel $vessel): int {
        switch ($vessel->kind) {
            case Kind::Tug: $this->quoted++; return $vessel->length * 2;
            case Kind::Tanker: $this->quoted += 2; return $vessel->tonnage * 3 + $vessel->length;
            default: return 10;
        }
    }
    public function guide(string $name): int { $p = $this->roster->find($name); if ($p === null) { return 0; } return $p->cost(3); }
    public function call(string $name): string { $p = $this->roster->find($name); return is_null($p) ? 'none' : $p->name; }
    public function tell(string $name): void { $p = $this->roster->find($name); if ($p) { $this->quoted += $p->cost(1); } }
}
interface Cargo {}
class Crate implements Cargo { /** @var Cargo[] */ public array $parts = []; }
class Barrel implements Cargo { public int $weight = 3; }
class Hold {
    /** @param Cargo[] $all */
    public function weigh(array $all): int {
        $sum = 0;
        foreach ($all as $each) {
            if ($each instanceof Crate) { $sum += $this->weigh($each->parts); } else { $sum += $each->weight; }
        }
        return $sum;
    }
}
