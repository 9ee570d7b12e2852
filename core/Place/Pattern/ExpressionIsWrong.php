<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

use DomainException;

/**
 * What is between the brackets of a pattern cannot be read.
 *
 * @internal
 */
final class ExpressionIsWrong extends DomainException
{
}
