<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use Gnomic\Entry\Html;
use Gnomic\Entry\Media;
use Gnomic\Text\Words;

/** The words of an item in both forms, and the pictures that stood among them. */
final readonly class Body
{
    /**
     * @param  list<Media>  $pictures
     * @param  string|null  $original  as it came, where that is another than the text
     */
    private function __construct(public string $text, public ?string $html, public array $pictures, public ?string $original)
    {
    }

    public static function none(): self
    {
        return new self('', null, [], null);
    }

    public static function ofHtml(string $html, ?string $base): self
    {
        // A description without one tag is as often plain text as markup: its line breaks are kept.
        if (! str_contains($html, '<')) {
            $text = Html::toText($html);

            return new self($text, $text === '' ? null : Html::fromText($text), [], $html === $text ? null : $html);
        }
        $safe = Html::sanitised($html, $base);

        return new self(Html::toText($html), $safe === '' ? null : $safe, Html::pictures($html, $base), $html);
    }

    /** Words that are no markup; tidied here. */
    public static function ofText(string $written): self
    {
        $text = Words::tidy($written);

        return $text === '' ? self::none() : new self($text, Html::fromText($text), [], $written === $text ? null : $written);
    }
}
