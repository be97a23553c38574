<?php

declare(strict_types=1);

namespace Quay;

/** Takes vessels in. */
final class ArrivalDesk
{
    /** @var Vessel[] */
    private array $waiting = [];

    public function __construct(private PilotRoster $roster)
    {
    }

    public function admit(Vessel $vessel): int
    {
        $pilot = $this->roster->pilotFor($vessel);
        if ($pilot === null) {
            $this->waiting[] = $vessel;
            return 0;
        }
        return $pilot->fee();
    }

    public function bill(Vessel $vessel): int
    {
        return $this->roster->pilotFor($vessel)?->fee() ?? 15;
    }

    public function rush(Vessel $vessel): int
    {
        return $this->roster->pilotFor($vessel)->fee() * 2;
    }
}
