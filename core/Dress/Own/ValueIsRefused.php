<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

use DomainException;

/**
 * A value that is not taken, and why.
 *
 * @internal
 */
final class ValueIsRefused extends DomainException
{
}
