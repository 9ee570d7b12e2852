<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Shape\Compositions\BubbleComposition;
use Gnomic\Shape\Compositions\CaptionComposition;
use Gnomic\Shape\Compositions\CompactComposition;
use Gnomic\Shape\Compositions\EvenComposition;
use Gnomic\Shape\Compositions\FaceComposition;
use Gnomic\Shape\Compositions\QuotationComposition;
use Gnomic\Shape\Compositions\RowComposition;
use Gnomic\Shape\Compositions\WordsComposition;

/** All compositions of a card. A new one stands here and nowhere else. */
final class Compositions
{
    /** @var list<class-string<Composition>> the usual one first */
    public const ALL = [
        WordsComposition::class,
        FaceComposition::class,
        QuotationComposition::class,
        CaptionComposition::class,
        BubbleComposition::class,
        RowComposition::class,
        CompactComposition::class,
        EvenComposition::class,
    ];

    public static function schema(string $about): ChoiceSchema
    {
        return ChoiceSchema::orNull(self::labels(), $about);
    }

    /** @return array<string, string> by name */
    public static function labels(): array
    {
        $labels = [];
        foreach (self::ALL as $composition) {
            $labels[$composition::name()] = $composition::label();
        }

        return $labels;
    }

    /** @return class-string<Composition> the usual one where there is none of that name */
    public static function named(?string $name): string
    {
        foreach (self::ALL as $composition) {
            if ($composition::name() === $name) {
                return $composition;
            }
        }

        return self::ALL[0];
    }
}
