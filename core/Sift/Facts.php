<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Entry\Entry;
use Gnomic\Entry\Media;
use Gnomic\Text\Tags;
use Gnomic\Text\Tokens;

/** What the clauses of a brief ask of an entry, and no more. */
final readonly class Facts
{
    /** In which entries are alike to most clauses: the rest of what is asked is asked one by one. */
    public const OF_CLASS = [
        'source',
        'kind',
        'gone',
        'hidden',
        'held',
        'barred',
        'duplicate_of',
        'stars',
        'worded',
        'pictured',
        'replied',
        'subject',
        'language',
    ];

    /** Columns that clauses and orders look at; those of a class may tell less of an entry than the entry does. */
    public const COLUMNS = [...self::OF_CLASS, 'ref', 'id', 'length', 'published', 'author', 'likes', 'tags', 'labels', 'shuffle_key'];

    public Saying $saying;

    /**
     * @param  string  $kind  as Kind's values
     * @param  float|null  $stars  1 to 5; null where it is not rated
     * @param  int  $length  characters of its words; the title does not count
     * @param  float|null  $published  seconds since 1970, with fractions where they are told
     * @param  bool  $gone  no longer at its source
     * @param  bool  $hidden  hidden by the owner in every widget
     * @param  list<string>  $duplicateOf  sources in which another entry tells the same and speaks for this one
     * @param  bool  $held  waits for the owner's decision
     * @param  string|null  $subject  key
     * @param  string|null  $author  folded name; null where nobody is named
     * @param  string|null  $language  BCP 47 in small letters
     * @param  int  $pictures  how many there are
     * @param  list<string>  $tags  hashtags, folded
     * @param  list<string>  $labels  folded
     * @param  bool|null  $barred  says a word that the site never shows; null where nobody has looked yet
     */
    public function __construct(
        public string $id,
        public string $source,
        public string $kind,
        public ?float $stars,
        public int $length,
        public ?float $published,
        public bool $gone = false,
        public bool $hidden = false,
        public array $duplicateOf = [],
        public bool $held = false,
        public ?string $subject = null,
        public ?string $author = null,
        public ?string $language = null,
        public int $pictures = 0,
        public bool $replied = false,
        public ?int $likes = null,
        public array $tags = [],
        public array $labels = [],
        ?Saying $saying = null,
        public ?bool $barred = null,
    ) {
        $this->saying = $saying ?? new Saying('');
    }

    public static function of(Entry $entry): self
    {
        return new self(
            id: $entry->id,
            source: (string) $entry->source,
            kind: $entry->kind->value,
            stars: $entry->stars(),
            length: $entry->length(),
            published: $entry->published === null ? null : (float) $entry->published->format('U.u'),
            subject: $entry->subject,
            author: self::authorOf($entry),
            language: $entry->language === null ? null : strtolower($entry->language),
            pictures: count(array_filter($entry->media, fn (Media $media): bool => $media->type === 'image')),
            replied: $entry->reply !== null,
            likes: $entry->likes,
            tags: Tags::each([...$entry->tags, ...Tags::in($entry->title."\n".$entry->text)]),
            labels: Tags::each($entry->tags),
            saying: new Saying($entry->title."\n".$entry->text),
        );
    }

    /** The place that chance gives it: 31 bits of a hash, so that it needs no memory and no entry moves another. */
    public function shuffleKey(): int
    {
        return self::shuffleKeyOf($this->id);
    }

    public static function shuffleKeyOf(string $id): int
    {
        return (int) hexdec(hash('xxh32', $id)) & 0x7FFFFFFF;
    }

    /**
     * Whether a list names it: by its identifier, or by its source, a colon and its identifier, which tells apart entries of two
     * sources.
     *
     * @param  list<string>  $names
     */
    public function isAmong(array $names): bool
    {
        return $names !== [] && (in_array($this->id, $names, true) || in_array("$this->source:$this->id", $names, true));
    }

    /** No other entry of any source has it. */
    public function key(): string
    {
        return "$this->source\n$this->id";
    }

    private static function authorOf(Entry $entry): ?string
    {
        $name = implode(' ', Tokens::of((string) $entry->author->name));

        return $name === '' ? null : $name;
    }
}
