<?php

declare(strict_types=1);

namespace Quay;

/** The kinds of vessels that call at Kelp Quay. */
enum Kind: string
{
    case Tug = 'tug';
    case Tanker = 'tanker';
    case Yacht = 'yacht';
}
