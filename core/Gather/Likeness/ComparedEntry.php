<?php

declare(strict_types=1);

namespace Gnomic\Gather\Likeness;

use Gnomic\Entry\Entry;
use Gnomic\Text\Fold;

/** What likeness looks at in an entry. */
final readonly class ComparedEntry
{
    /**
     * @param  list<int>  $shingles  of title and words
     * @param  string  $author  folded, without punctuation; empty where unknown
     * @param  int|null  $published  seconds since 1970
     */
    private function __construct(
        public string $source,
        public array $shingles,
        public string $author,
        public ?int $published,
        public ?float $stars,
    ) {
    }

    public static function by(Entry $entry): self
    {
        $words = Shingles::words($entry->title === null ? $entry->text : "$entry->title\n$entry->text");
        $author = trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', Fold::text((string) $entry->author->name)));

        return new self((string) $entry->source, Shingles::ofWords($words), $author, $entry->published?->getTimestamp(), $entry->stars());
    }

    /** In as few bytes as keep it, for those who hold many. */
    public function packed(): string
    {
        return pack('qeC', $this->published ?? PHP_INT_MIN, $this->stars ?? 0.0, strlen($this->source) % 256)
            .substr($this->source, 0, 255).pack(
                'C',
                min(255, strlen($this->author)),
            ).substr($this->author, 0, 255).pack('V*', ...$this->shingles);
    }

    public static function unpacked(string $bytes): self
    {
        /** @var array{published: int, stars: float, length: int} $head */
        $head = (array) unpack('qpublished/estars/Clength', $bytes);
        $source = substr($bytes, 17, $head['length']);
        $at = 17 + $head['length'];
        $author = substr($bytes, $at + 1, ord($bytes[$at]));
        /** @var array<int> $shingles */
        $shingles = (array) unpack('V*', $bytes, $at + 1 + strlen($author));

        return new self(
            $source,
            array_values($shingles),
            $author,
            $head['published'] === PHP_INT_MIN ? null : $head['published'],
            $head['stars'] === 0.0 ? null : $head['stars'],
        );
    }
}
