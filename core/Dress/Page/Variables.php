<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Css\CssValues;

/** Custom properties of an element, and what happens to var() by them (CSS Custom Properties 1). */
final class Variables
{
    /** Of a value with all that is put into it: more is a trick. */
    private const LONGEST = 20_000;

    /** Of all values together. */
    private const MOST = 400_000;

    private int $length = 0;

    /** @var array<string, string|null> resolved; null: not valid, as what refers to itself */
    private array $resolved = [];

    /** @var array<string, true> those that are being resolved */
    private array $open = [];

    /**
     * @param  array<string, string>  $values  as they were declared on the element
     * @param  self|null  $above  of its parent
     * @param  array<string, bool>  $alone  those that children do not take over
     * @param  array<string, string>  $registered  values where nobody sets them
     */
    public function __construct(
        private readonly array $values,
        private readonly ?self $above = null,
        private readonly array $alone = [],
        private readonly array $registered = [],
    ) {
    }

    /** The value of one, with others put in; null where it has none that is valid. */
    public function value(string $name): ?string
    {
        return $this->named($name);
    }

    /** A value with its variables put in; null where one has neither value nor fallback. */
    public function in(string $value): ?string
    {
        while (preg_match('/(?<![\w-])var\(/i', $value, $found, PREG_OFFSET_CAPTURE) === 1) {
            $from = $found[0][1];
            $to = CssValues::closing($value, $from + 4);
            $inside = substr($value, $from + 4, $to - $from - 4);
            $comma = strpos($inside, ',');
            $name = trim($comma === false ? $inside : substr($inside, 0, $comma));
            $put = $this->named($name) ?? ($comma === false ? null : $this->in(trim(substr($inside, $comma + 1))));
            if ($put === null || strlen($value) + strlen($put) > self::LONGEST) {
                return null;
            }
            $value = substr($value, 0, $from).$put.substr($value, $to + 1);
        }

        return $value;
    }

    private function named(string $name): ?string
    {
        if (array_key_exists($name, $this->resolved)) {
            return $this->resolved[$name];
        }
        if (! isset($this->values[$name])) {
            $above = $this->above === null || isset($this->alone[$name]) ? null : $this->above->named($name);

            return $above ?? $this->registered[$name] ?? null;
        }
        $value = $this->values[$name];
        if (isset($this->open[$name]) || strtolower($value) === 'initial') {
            return null;
        }
        $this->open[$name] = true;
        $resolved = $this->in($value);
        unset($this->open[$name]);

        $this->length += strlen((string) $resolved);

        return $this->resolved[$name] = $this->length > self::MOST ? null : $resolved;
    }
}
