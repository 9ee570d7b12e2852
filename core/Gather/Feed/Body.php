<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use Gnomic\Entry\Media;
use Gnomic\Gather\Text\Html;

/** The words of an item in both forms, and the pictures that stood among them. */
final readonly class Body
{
    /** @param  list<Media>  $pictures */
    private function __construct(public string $text, public ?string $html, public array $pictures)
    {
    }

    public static function none(): self
    {
        return new self('', null, []);
    }

    public static function ofHtml(string $html, ?string $base): self
    {
        // A description without one tag is as often plain text as markup: its line breaks are kept.
        if (! str_contains($html, '<')) {
            return self::ofText(Html::toText($html));
        }
        $safe = Html::sanitised($html, $base);

        return new self(Html::toText($html), $safe === '' ? null : $safe, Html::pictures($html, $base));
    }

    public static function ofText(string $text): self
    {
        return $text === '' ? self::none() : new self($text, Html::fromText($text), []);
    }
}
