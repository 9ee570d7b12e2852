<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

/** One of the choices that visitors have, as it is said and where it leads. */
final readonly class Choice
{
    /**
     * @param  string  $file  that is asked for, without its ending
     * @param  bool  $isFirst  whether it is what everybody sees first
     * @param  string  $text  as it is seen
     * @param  int|null  $stars  that it is about; null where it is about something else
     * @param  string  $said  as it is heard, with how many there are
     */
    public function __construct(
        public string $file,
        public string $text,
        public ?int $stars,
        public string $said,
        public bool $isFirst,
        public bool $isNow,
    ) {
    }
}
