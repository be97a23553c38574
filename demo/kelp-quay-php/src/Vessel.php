<?php

declare(strict_types=1);

namespace Quay;

/** A vessel, as the office knows it. */
final class Vessel
{
    public function __construct(
        public readonly string $name,
        public readonly Kind $kind,
        public readonly int $tonnage = 0,
        public readonly bool $hazardous = false,
    ) {
    }
}
