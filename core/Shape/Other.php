<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Shape\Parts\Parts;

/** What is other at a class of widths; null is the same as everywhere. */
final readonly class Other
{
    /** @param  list<string>|null  $card  names of Parts; those that the widget's cards do not show stay away */
    private function __construct(public ?Layout $layout, public ?array $card, public ?int $lines)
    {
    }

    public static function schema(): ObjectSchema
    {
        $one = fn (): ObjectSchema => ObjectSchema::of([
            'layout' => Layouts::flowing(),
            'card' => ListSchema::orNull(
                ChoiceSchema::among(Parts::names()),
                distinct: true,
                about: 'Of what cards show, what stays; null: all.',
            ),
            'lines' => NumberSchema::whole(0, 30, about: 'Lines of words; 0: all of them; null: as everywhere.'),
        ]);

        return ObjectSchema::of(
            ['phone' => $one(), 'tablet' => $one()],
            about: 'What is other on phones (narrower than 600 pixels) and tablets (narrower than 1000).',
        );
    }

    public static function read(Members $other): self
    {
        $layout = $other->objectOrNull('layout');

        return new self(
            $layout === null ? null : Layouts::named($layout->string('name'))::of($layout),
            $other->has('card') ? $other->strings('card') : null,
            $other->intOrNull('lines'),
        );
    }

    /** What is not said here is said there. */
    public function or(self $other): self
    {
        return new self($this->layout ?? $other->layout, $this->card ?? $other->card, $this->lines ?? $other->lines);
    }
}
