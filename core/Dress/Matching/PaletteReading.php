<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use DOMElement;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;

/** Reads the colours of a look from a section: what its words have on its ground, and what they have on its cards. */
final readonly class PaletteReading
{
    /** Contrast that words need, and that signs need: WCAG 2.2, 1.4.3 and 1.4.11. */
    private const TEXT = 4.5;

    private const SIGN = 3.0;

    /** How much of a colour is left where something is a step towards what is behind it, or nearly that. */
    private const STEP = 0.72;

    private const NEARLY = 0.2;

    public function __construct(
        private Section $section,
        private StyleSamples $samples,
        private Notes $notes,
        private string $scheme,
    ) {
    }

    /** @return array<string, string|null> as Palette::read() takes them */
    public function colours(): array
    {
        $base = $this->section->ground;
        $text = $this->samples->text();
        $ink = $this->seen($this->samples->style($text)->colour);
        $palette = [
            'ink' => $this->put('ink', $ink, $text, 'color', 'text'),
            // The page's own ground shows through: what is behind is told to the guard.
            'ground' => '#ffffff00',
            'behind' => $this->put(
                'behind',
                $base,
                $this->section->painted,
                'background-color',
                $this->section->image === null ? 'what is behind it' : 'a picture behind it',
            ),
            'behindTo' => $this->section->to?->toHex(),
        ];
        $quiet = $this->samples->quiet();
        $palette['quiet'] = $quiet === null
            ? $this->derived('quiet', $ink->mixed($base, self::STEP), 'the text, a step towards the background')
            : $this->put('quiet', $this->seen($this->samples->style($quiet)->colour), $quiet, 'color', 'small print');
        $heading = $this->samples->headingHere();
        $its = $heading === null ? null : $this->seen($this->samples->style($heading)->colour);
        $palette['heading'] = $heading === null || $its === null || $its->toHex() === $palette['ink'] ? null
            : $this->put('heading', $its, $heading, 'color', 'headings');
        $accent = $this->accent();
        $palette['accent'] = $accent === null ? $palette['ink']
            : $this->put('accent', $this->seen($accent[0]), $accent[1], $accent[2], $accent[3]);
        $link = $this->samples->link();
        $palette['link'] = $link === null ? $palette['ink']
            : $this->put('link', $this->seen($this->samples->style($link)->colour), $link, 'color', 'links');
        $palette += ['rating' => $palette['accent'], 'control' => $palette['accent']];

        return $palette + $this->cards($ink, $palette) + $this->buttons();
    }

    private function seen(Colour $colour): Colour
    {
        return $colour->over($this->section->ground);
    }

    private function put(string $token, Colour $colour, DOMElement $of, string $property, string $what): string
    {
        $hex = $colour->toHex();
        $this->notes->read("$this->scheme.$token", $hex, $of, $property, $what);

        return $hex;
    }

    private function derived(string $token, Colour $colour, string $how): string
    {
        $hex = $colour->toHex();
        $this->notes->derived("$this->scheme.$token", $hex, $how);

        return $hex;
    }

    /**
     * What cards are painted with, and what stands on them where that is other than beside them.
     *
     * @param  array<string, string|null>  $around  colours on the ground
     * @return array<string, string|null>
     */
    private function cards(Colour $ink, array $around): array
    {
        $card = $this->samples->card();
        $base = $this->section->ground;
        $edge = $card === null ? null : $this->samples->style($card)->borderColour();
        $line = $card === null || $edge === null
            ? $this->derived('line', $ink->mixed($base, self::NEARLY), 'the text, nearly the background')
            : $this->put('line', $edge, $card, 'border-top-color', 'edges of cards');
        $surface = $card === null ? null : $this->samples->style($card)->background;
        if ($card === null || $surface === null || $surface->alpha <= 0.02) {
            return ['line' => $line];
        }
        $colours = ['line' => $line, 'surface' => $this->put('surface', $surface, $card, 'background-color', 'cards')];
        $on = $surface->over($base);
        $words = $this->samples->textOn($card);
        $own = $this->samples->style($words)->colour->over($on);
        if ($own->toHex() !== $around['ink']) {
            $colours['cardInk'] = $this->put('cardInk', $own, $words, 'color', 'text on cards');
            $colours['cardQuiet'] = $this->derived('cardQuiet', $own->mixed($on, self::STEP), 'the text on cards, a step towards them');
        }
        $link = $this->samples->linkOn($card);
        $linked = $link === null ? null : $this->samples->style($link)->colour->over($on);
        if ($link !== null && $linked !== null && $linked->toHex() !== $around['link']) {
            $colours['cardLink'] = $this->put('cardLink', $linked, $link, 'color', 'links on cards');
        }
        // What cannot be told on cards is as their links are, or else as their words.
        $else = $linked ?? $own;
        foreach (['accent' => self::TEXT, 'link' => self::TEXT, 'rating' => self::SIGN, 'control' => self::SIGN] as $token => $least) {
            $name = 'card'.ucfirst($token);
            $is = Colour::tryHex((string) $around[$token]) ?? $ink;
            $isCarried = $is->contrastWith($on) >= $least || $else->contrastWith($on) < $least;
            if (! isset($colours[$name]) && ! $isCarried) {
                $colours[$name] = $this->derived($name, $else, $linked === null ? 'the text on cards' : 'links on cards');
            }
        }

        return $colours;
    }

    /** @return array<string, string|null> of painted buttons, or of those that have an edge */
    private function buttons(): array
    {
        $button = $this->samples->button();
        if ($button === null) {
            return [];
        }
        $style = $this->samples->style($button);
        $isPainted = $style->background->alpha > 0.5;
        $ground = $isPainted ? $this->seen($style->background) : $this->section->ground;
        $edge = $style->borderColour();

        return [
            'button' => $isPainted ? $this->put('button', $ground, $button, 'background-color', 'buttons') : null,
            'buttonInk' => $this->put('buttonInk', $style->colour->over($ground), $button, 'color', 'words on buttons'),
            'buttonLine' => $edge === null || $edge->over($ground)->toHex() === $ground->toHex() ? null
                : $this->put('buttonLine', $edge->over($ground), $button, 'border-top-color', 'edges of buttons'),
        ];
    }

    /**
     * The colour that speaks up in the section: of its buttons, else of its links, else of its headings; else of buttons elsewhere.
     *
     * @return array{Colour, DOMElement, string, string}|null
     */
    private function accent(): ?array
    {
        [$button, $link, $heading] = [$this->samples->buttonHere(), $this->samples->link(), $this->samples->headingHere()];
        $other = $button === null ? $this->samples->button() : null;
        $isGrey = fn (Colour $colour): bool => Oklch::of($colour)->chroma < 0.025;
        $ground = $this->section->ground;
        $of = fn (?DOMElement $element, string $property, string $what): ?array => $element === null ? null : [
            $property === 'color' ? $this->samples->style($element)->colour : $this->samples->style($element)->background,
            $element,
            $property,
            $what,
        ];
        $ways = array_values(array_filter([
            $of($button, $this->samples->paint($button), 'buttons'),
            $of($link, 'color', 'links'),
            $of($heading, 'color', 'headings'),
            $of($other, $this->samples->paint($other), 'buttons elsewhere on the page'),
        ]));
        // A colour that is told from the ground goes before one that would have to be mended.
        $isTold = fn (Colour $colour): bool => min(
            $colour->over($ground)->contrastWith($ground),
            $colour->over($ground)->contrastWith($this->section->to ?? $ground),
        ) >= self::SIGN;
        foreach ([false, true] as $mayBeGrey) {
            foreach ($ways as $way) {
                if (($mayBeGrey || ! $isGrey($way[0]->over($ground))) && $isTold($way[0])) {
                    return $way;
                }
            }
        }

        return $ways[1] ?? $ways[0] ?? null;
    }
}
