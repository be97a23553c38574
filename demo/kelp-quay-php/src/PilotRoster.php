<?php

declare(strict_types=1);

namespace Quay;

/** Who is on duty. */
final class PilotRoster
{
    /** @var Pilot[] */
    private array $onDuty = [];

    public function report(Pilot $pilot): void
    {
        $this->onDuty[] = $pilot;
    }

    public function pilotFor(Vessel $vessel): ?Pilot
    {
        foreach ($this->onDuty as $pilot) {
            if ($vessel->tonnage <= $pilot->most) {
                return $pilot;
            }
        }
        return null;
    }
}
