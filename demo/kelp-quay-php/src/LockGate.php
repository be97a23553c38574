<?php

declare(strict_types=1);

namespace Quay;

/** The lock gate: shut, turning or open. */
final class LockGate
{
    private string $position = 'shut';
    private int $turns = 0;

    public function push(): void
    {
        if ($this->position === 'shut') {
            $this->position = 'turning';
            $this->turns++;
        } elseif ($this->position === 'turning') {
            $this->position = 'open';
        } elseif ($this->position === 'open') {
            $this->position = 'shut';
            $this->turns++;
        }
    }

    public function toll(int $tonnage): int
    {
        if ($this->position === 'open') {
            return $tonnage * 2 + $this->turns;
        } elseif ($this->position === 'turning') {
            return $tonnage * 3 + $this->turns;
        }
        return 0;
    }
}
