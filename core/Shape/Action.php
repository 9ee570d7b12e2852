<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;

/** What a visitor can do from the head: write a review, follow, see all, or go where the owner says. */
final readonly class Action
{
    public const MOST = 4;

    private const WHAT = ['review', 'follow', 'all', 'link'];

    /**
     * @param  string  $does  of WHAT
     * @param  list<string>|null  $sources  keys of sources to review at or to follow; null: all of the widget's that have an address
     * @param  string|null  $text  what it says; null: the usual
     * @param  string|null  $url  of a link
     */
    private function __construct(public string $does, public ?array $sources, public ?string $text, public ?string $url)
    {
    }

    public static function schema(): ListSchema
    {
        return ListSchema::of(ObjectSchema::of([
            'does' => ChoiceSchema::among(
                self::WHAT,
                about: 'Leads to writing a review at a source, to its page, to everything, or elsewhere.',
            ),
            'sources' => ListSchema::orNull(TextSchema::of(1, 200), 20, 1, true, 'Keys of sources; null: all that have an address.'),
            'text' => TextSchema::orNull(60, 'What it says; null: the usual words, in the language of the page.'),
            'url' => TextSchema::addressOrNull('Where a link leads.'),
        ], ['does']), self::MOST, about: 'What visitors can do from the head.');
    }

    public static function read(Members $action): self
    {
        $text = trim((string) $action->stringOrNull('text'));

        return new self(
            $action->string('does'),
            $action->has('sources') ? $action->strings('sources') : null,
            $text === '' ? null : $text,
            $action->stringOrNull('url'),
        );
    }
}
