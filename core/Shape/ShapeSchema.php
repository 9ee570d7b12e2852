<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Shape\Parts\Parts;

/** What a brief's part "shape" may say, and what holds where it says nothing. */
final class ShapeSchema
{
    public const HEAD = ['account', 'overall', 'count', 'spread', 'channels', 'faces'];

    public const HEAD_AT = ['above', 'left', 'right', 'none'];

    public const MORE = ['none', 'button', 'pages', 'scroll'];

    public const RATINGS = ['usual', 'both', 'glyphs', 'number', 'words'];

    public const DATES = ['recent', 'day', 'month', 'relative'];

    public const HEIGHTS = ['fit', 'level'];

    public const PICTURES = ['landscape', 'original', 'square', 'portrait', 'wide'];

    /** All members, each with what it is about, for the bench, the published schema and whoever reads a brief. */
    public static function get(): ObjectSchema
    {
        /** @var ObjectSchema|null $schema */
        static $schema = null;

        return $schema ??= ObjectSchema::of([
            'layout' => Layouts::schema(),
            'composition' => Compositions::schema('How the parts of a card stand to each other; null: as the look has it.'),
            'heights' => ChoiceSchema::among(
                self::HEIGHTS,
                'fit',
                'Cards as high as their words, long ones cut near the median; or all equally high.',
            ),
            'shorten' => NumberSchema::wholeOrNull(40, 2000, 220, 'Characters after which words are shortened; null: never.'),
            'lines' => NumberSchema::whole(0, 30, about: 'Lines that words are clamped to; 0: never; null: layout default.'),
            'card' => ListSchema::of(
                ChoiceSchema::among(Parts::names()),
                distinct: true,
                default: Parts::usual(),
                about: 'What a card shows, in this order.',
            ),
            'names' => ChoiceSchema::case(Naming::Full, 'How people are named: as given, first name and initial, or initials.'),
            'rating' => ChoiceSchema::among(
                self::RATINGS,
                'usual',
                'As glyphs with the number where they do not say it all, as both always, as one of them, or in words.',
            ),
            'date' => ChoiceSchema::among(
                self::DATES,
                'recent',
                'Dates as a day and after half a year as a month, as a day always, as a month, or as the time since.',
            ),
            'picture' => ChoiceSchema::among(self::PICTURES, 'landscape', 'Shape that pictures are cut to; original: as they are.'),
            'head' => ListSchema::of(ChoiceSchema::among(self::HEAD), distinct: true, default: ['overall', 'count']),
            'headAt' => ChoiceSchema::among(self::HEAD_AT, 'above', 'Where the head stands; at the left or right where there is room.'),
            'title' => TextSchema::orNull(120, 'What the widget is called in feeds and frames; null: as its heading.'),
            'heading' => TextSchema::orNull(120),
            'line' => TextSchema::orNull(240, 'A line under the heading.'),
            'actions' => Action::schema(),
            'click' => ChoiceSchema::among(
                ['usual', ...array_map(fn (Click $click): string => $click->value, Click::cases())],
                'usual',
                'What a click on an entry does: opens it at its source, enlarges it, follows an address, nothing; or what is usual for '
                    .'the layout.',
            ),
            'address' => TextSchema::addressOrNull('Where a click leads that follows an address.'),
            'addresses' => ListSchema::of(
                ObjectSchema::of(['id' => TextSchema::of(1, 600), 'url' => TextSchema::addressOrNull()], ['id', 'url']),
                200,
                about: 'Addresses of single entries, by their identifiers.',
            ),
            'newTab' => new BooleanSchema(true, 'Whether links open another tab.'),
            'rel' => TextSchema::matching(
                '^[a-z]*( [a-z]+)*$',
                'link types such as "nofollow ugc noopener"',
                80,
                'nofollow ugc noopener',
                'Link types of links to sources.',
            ),
            'more' => ChoiceSchema::among(self::MORE, 'none', 'How visitors get more entries: a button, numbered pages, or on scrolling.'),
            'choosing' => Choosing::schema(),
            'marked' => ListSchema::of(TextSchema::of(1, 100), 10, true, about: 'Words that are marked wherever they stand.'),
            'frame' => Frame::schema(),
            'at' => Other::schema(),
            'empty' => TextSchema::orNull(240, 'What visitors read where there is nothing to show; null: nothing at all.'),
            'markup' => new BooleanSchema(false, 'Whether schema.org data is put into the page; not for reviews of yourself.'),
            'honest' => new BooleanSchema(true, 'Whether a selection says in a line that it is one.'),
        ], about: 'The layout and what it shows.');
    }
}
