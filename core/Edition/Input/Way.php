<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

/** One of the choices that visitors have among the entries, made ahead. */
final readonly class Way
{
    /**
     * @param  string  $name  "s5", "l0", "newest"; empty for what everybody sees first
     * @param  string  $by  of Choosing: "stars", "labels" or "order"
     * @param  int|string|null  $value  whole stars, a label, or an order; null for what everybody sees first
     * @param  int  $count  entries that there are of it
     */
    public function __construct(public string $name, public string $by, public int|string|null $value, public int $count)
    {
    }

    /**
     * What is asked for, without its ending: "by.de.s5"; "open.de" for what everybody sees first.
     *
     * @param  string  $language  of the page; empty for all that have no file of their own
     */
    public function file(string $language): string
    {
        return $this->name === ''
            ? 'open.'.($language === '' ? 'und' : $language)
            : implode('.', array_filter(['by', $language, $this->name], fn (string $part): bool => $part !== ''));
    }
}
