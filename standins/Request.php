<?php

declare(strict_types=1);

namespace Standins;

/** What was asked of a service. */
final readonly class Request
{
    /**
     * @param  string  $path  within the service
     * @param  array<string, string>  $query
     * @param  array<string, string>  $form
     */
    public function __construct(
        public string $path,
        public string $method,
        public array $query,
        public array $form,
        public string $authorization,
        public string $key,
        public string $site,
    ) {
    }

    public static function current(string $path): self
    {
        return new self($path, (string) $_SERVER['REQUEST_METHOD'], array_filter($_GET, is_string(...)), array_filter($_POST, is_string(...)),
            (string) ($_SERVER['HTTP_AUTHORIZATION'] ?? ''),
            (string) ($_SERVER['HTTP_WAYLEAF_KEY'] ?? ''),
            (string) ($_SERVER['HTTP_WAYLEAF_SITE'] ?? ''));
    }
}
