<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;

/** By what visitors may choose among the entries: one thing at a time, or nothing. */
final readonly class Choosing
{
    public const MOST_LABELS = 8;

    private const BY = ['none', 'stars', 'labels', 'order', 'search'];

    /**
     * @param  string  $by  of BY
     * @param  list<string>  $labels  that they may choose among
     */
    private function __construct(public string $by, public array $labels)
    {
    }

    public static function schema(): ObjectSchema
    {
        return ObjectSchema::of([
            'by' => ChoiceSchema::among(
                self::BY,
                'none',
                'What visitors may choose by: stars, labels, the newest or the highest, a search in everything; or nothing.',
            ),
            'labels' => ListSchema::of(TextSchema::of(1, 100), self::MOST_LABELS, true, about: 'Labels that they may choose among.'),
        ], about: 'What visitors may choose by, one thing at a time.');
    }

    public static function nothing(): self
    {
        return new self('none', []);
    }

    public static function read(Members $choosing): self
    {
        return new self($choosing->string('by'), $choosing->strings('labels'));
    }

    /** Whether there is something made ahead for each choice. */
    public function isAhead(): bool
    {
        return $this->by !== 'none' && $this->by !== 'search';
    }
}
