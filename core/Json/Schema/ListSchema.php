<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use Gnomic\Json\MemberIsWrong;

/** A list of values of one sort. */
final readonly class ListSchema extends Schema
{
    /** @param  list<mixed>|null  $default */
    private function __construct(
        private Schema $items,
        private int $fewest,
        private ?int $most,
        private bool $isDistinct,
        string $about,
        bool $isNullable,
        ?array $default,
    ) {
        parent::__construct($about, $isNullable, $default);
    }

    /** @param  list<mixed>  $default */
    public static function of(Schema $items, ?int $most = null, bool $distinct = false, array $default = [], string $about = ''): self
    {
        return new self($items, 0, $most, $distinct, $about, false, $default);
    }

    public static function orNull(Schema $items, ?int $most = null, int $fewest = 0, bool $distinct = false, string $about = ''): self
    {
        return new self($items, $fewest, $most, $distinct, $about, true, null);
    }

    protected function keywords(): array
    {
        return ['type' => 'array'] + ($this->fewest > 0 ? ['minItems' => $this->fewest] : []) + (
            $this->most === null
                ? []
                : ['maxItems' => $this->most]
        )
            + ($this->isDistinct ? ['uniqueItems' => true] : []) + ['items' => $this->items->toArray()];
    }

    /** @return list<mixed> */
    protected function taken(mixed $value, string $pointer): array
    {
        if (! is_array($value) || ! array_is_list($value)) {
            throw MemberIsWrong::at($pointer, $this->wanted(), $value);
        }
        if ($this->most !== null && count($value) > $this->most) {
            throw MemberIsWrong::at($pointer, "at most $this->most long", $value);
        }
        if (count($value) < $this->fewest) {
            throw MemberIsWrong::at($pointer, 'null, or a list with at least '.($this->fewest === 1 ? 'one' : $this->fewest), $value);
        }
        $taken = array_map(
            fn (mixed $item, int $index): mixed => $this->items->read($item, "$pointer/$index"),
            $value,
            array_keys($value),
        );
        if ($this->isDistinct) {
            self::withoutRepetitions($taken, $pointer);
        }

        return $taken;
    }

    /** @param  list<mixed>  $items */
    private static function withoutRepetitions(array $items, string $pointer): void
    {
        $seen = [];
        foreach ($items as $index => $item) {
            $written = json_encode(
                $item,
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            );
            if (isset($seen[$written])) {
                throw MemberIsWrong::repeated("$pointer/$index", $written, $seen[$written]);
            }
            $seen[$written] = $index;
        }
    }

    protected function wanted(): string
    {
        return 'a list';
    }

    protected function written(): array
    {
        return $this->default === null || $this->default === [] ? [] : ['default' => $this->default];
    }
}
