<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Css\CssValues;

/** A property with its value as it was written, and where that was. */
final readonly class Declaration
{
    /** What stands for a string that is not closed. */
    public const BROKEN = '!!';

    /**
     * @param  string  $name  in lower case, but for custom properties
     * @param  int|null  $line  null: in the page itself
     * @param  string  $address  against which what it names is found; empty: the page's own
     */
    public function __construct(
        public string $name,
        public string $value,
        public bool $isImportant,
        public string $sheet,
        public ?int $line,
        public string $address = '',
    ) {
    }

    /** The same with another value. */
    public function saying(string $value): self
    {
        return new self($this->name, $value, $this->isImportant, $this->sheet, $this->line, $this->address);
    }

    /** @return list<self> of a block; what is no declaration is left out, as CSS wants it */
    public static function all(string $block, string $sheet, ?int $line, string $address = ''): array
    {
        $all = [];
        foreach (CssValues::split($block, ';') as $text) {
            $colon = strpos($text, ':');
            if ($colon === false) {
                continue;
            }
            $name = trim(substr($text, 0, $colon));
            $value = trim(substr($text, $colon + 1));
            if (
                $name === ''
                || str_contains($value, self::BROKEN)
                || preg_match('/^-{0,2}[a-zA-Z_\x80-\xff][\w\x80-\xff-]*$|^--[\w\x80-\xff-]+$/D', $name) !== 1
            ) {
                continue;
            }
            $isImportant = preg_match('/!\s*important$/iD', $value) === 1;
            $value = $isImportant ? rtrim((string) preg_replace('/!\s*important$/iD', '', $value)) : $value;
            $all[] = new self(str_starts_with($name, '--') ? $name : strtolower($name), $value, $isImportant, $sheet, $line, $address);
        }

        return $all;
    }
}
