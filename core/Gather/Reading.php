<?php

declare(strict_types=1);

namespace Gnomic\Gather;

use Gnomic\Entry\Entry;

/** What a payload gave: its entries in the order of the document, and what was wrong with it. */
final readonly class Reading
{
    /** Entries of one document that are read: no feed that people keep has more, and none is read for ever. */
    public const MOST = 5_000;

    /**
     * @param  string  $format  as people name it: "RSS 2.0", "Atom 1.0", "JSON Feed 1.1", "Wayleaf reviews"
     * @param  list<Entry>  $entries
     * @param  list<Problem>  $problems
     * @param  string|null  $title  what the source calls itself
     * @param  string|null  $home  address of the page that the source belongs to
     */
    public function __construct(
        public string $format,
        public array $entries,
        public array $problems = [],
        public ?string $title = null,
        public ?string $home = null,
    ) {
    }

    /** What is said where there are more than are read. */
    public static function tooMany(): Problem
    {
        return new Problem('', 'It has more than '.number_format(self::MOST).' items; the first '.number_format(self::MOST).' were read.');
    }
}
