<?php

declare(strict_types=1);

namespace Quay;

/** Somebody who may bring vessels in, up to a tonnage. */
class Pilot
{
    public function __construct(public readonly string $name, public readonly int $most)
    {
    }

    public function fee(): int
    {
        return 40 + strlen($this->name);
    }
}
