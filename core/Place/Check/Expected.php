<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/** A widget that should be on a page. */
final readonly class Expected
{
    /**
     * @param  string  $key  of the widget
     * @param  list<string>  $keys  by which its code may stand there: its own, and those of its forms
     * @param  string|null  $selector  of the place where the site's own tag puts it; null: where its tag stands
     * @param  bool  $isSure  whether it is missed where it is not: a spot names the page, or it was there before
     * @param  bool  $isOut  whether it was ever published
     */
    public function __construct(
        public string $key,
        public string $name,
        public array $keys,
        public ?string $selector = null,
        public bool $isSure = true,
        public bool $isOut = true,
    ) {
    }
}
