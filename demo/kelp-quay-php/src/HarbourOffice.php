<?php

declare(strict_types=1);

namespace Quay;

/** Where all of it comes together. */
final class HarbourOffice
{
    private HarbourLog $log;
    /** @var Vessel[] */
    private array $moored = [];
    /** @var Permit[] */
    private array $permits = [];

    public function __construct(private Ledger $ledger, private SignalTower $tower)
    {
        $this->log = new HarbourLog();
    }

    public function arrive(Vessel $vessel): void
    {
        $this->moored[] = $vessel;
        $this->ledger->book($vessel);
        $this->tower->announce($vessel);
        $this->log->note($vessel);
    }

    public function permit(Vessel $vessel): void
    {
        if ($vessel->tonnage > 500) {
            $permit = new HeavyPermit($vessel);
        } else {
            $permit = new LightPermit($vessel);
        }
        $this->permits[] = $permit;
    }

    public function berth(Vessel $vessel, int $row, int $place, bool $tidal, bool $tug, int $nights): string
    {
        return "{$vessel->name}:$row/$place " . ($tidal ? 'tidal ' : '') . ($tug ? 'tug ' : '') . $nights;
    }
}
