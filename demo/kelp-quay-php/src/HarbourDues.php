<?php

declare(strict_types=1);

namespace Quay;

/** What a stay costs, in whole crowns. */
final class HarbourDues
{
    public function __construct(private int $nightRate = 90)
    {
    }

    public function quote(Vessel $vessel, int $nights): int
    {
        if ($vessel->kind === Kind::Tug) {
            $base = $nights * $this->nightRate;
            return intdiv($base, 2);
        } elseif ($vessel->kind === Kind::Tanker) {
            $extra = $vessel->hazardous ? 200 : 0;
            return $nights * ($this->nightRate + $extra);
        }
        return $nights * $this->nightRate;
    }

    /** @param Vessel[] $queue */
    public function queue(Vessel $vessel, array &$queue): void
    {
        switch ($vessel->kind) {
            case Kind::Tug:
                array_unshift($queue, $vessel);
                break;
            case Kind::Tanker:
                array_splice($queue, 1, 0, [$vessel]);
                break;
            default:
                $queue[] = $vessel;
        }
    }

    public function surcharge(Vessel $vessel, bool $holiday): int
    {
        if ($holiday) {
            return $this->nightRate * 2 + intdiv($vessel->tonnage, 10);
        } else {
            return intdiv($this->nightRate, 4);
        }
    }

    public function estimate(Vessel $vessel): int
    {
        return $this->quote($vessel, 3) + $this->surcharge($vessel, false);
    }

    public function holidayEstimate(Vessel $vessel): int
    {
        return $this->quote($vessel, 3) + $this->surcharge($vessel, true);
    }
}
