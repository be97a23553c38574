<?php

declare(strict_types=1);

namespace Quay;

/** What happened, on disk. */
final class HarbourLog
{
    /** @var resource */
    private $out;

    public function __construct()
    {
        $this->out = fopen('harbour.log', 'a');
    }

    public function note(Vessel $vessel): void
    {
        fwrite($this->out, $vessel->name . "\n");
    }
}

final class NightWatch
{
    private HarbourLog $log;

    public function __construct()
    {
        $this->log = new HarbourLog();
    }

    public function round(Vessel $vessel): void
    {
        if ($vessel->kind !== Kind::Yacht) {
            $this->log->note($vessel);
        }
    }
}

final class Ledger
{
    private int $total = 0;

    public function book(Vessel $vessel): void
    {
        $this->total += $vessel->tonnage;
    }

    public function total(): int
    {
        return $this->total;
    }
}

final class SignalTower
{
    private string $shown = '';

    public function announce(Vessel $vessel): void
    {
        $this->shown = $vessel->name;
    }

    public function shown(): string
    {
        return $this->shown;
    }
}

abstract class Permit
{
    public function __construct(protected Vessel $vessel)
    {
    }

    abstract public function fee(): int;
}

final class HeavyPermit extends Permit
{
    public function fee(): int
    {
        return 100 + intdiv($this->vessel->tonnage, 4);
    }
}

final class LightPermit extends Permit
{
    public function fee(): int
    {
        return 15;
    }
}
