<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

/** A page as a visitor's browser gets it. */
final readonly class FetchedPage
{
    /**
     * @param  string  $address  where it came from in the end
     * @param  list<string>  $policies  headers Content-Security-Policy
     * @param  list<string>  $reporting  headers Content-Security-Policy-Report-Only
     * @param  string  $type  its media type as it was sent; empty where none was
     * @param  int  $redirects  that were followed on the way
     * @param  string|null  $age  seconds for which a cache in front has had it, or what that cache says of itself
     */
    public function __construct(
        public string $html,
        public string $address,
        public array $policies = [],
        public array $reporting = [],
        public ?string $age = null,
        public int $status = 200,
        public string $type = '',
        public int $redirects = 0,
    ) {
    }
}
