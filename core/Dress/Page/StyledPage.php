<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Closure;
use DOMDocument;
use DOMElement;
use Gnomic\Entry\Html;
use Gnomic\Text\Address;
use Gnomic\Text\Pieces;

/** A page of the owner's website: its elements, and what it says of style sheets. */
final readonly class StyledPage
{
    private function __construct(public DOMDocument $document, public string $address)
    {
    }

    /** @param  string  $html  any bytes @param  string  $address  where it came from */
    public static function of(string $html, string $address): self
    {
        PageSelector::begin();

        return new self(Html::document($html), $address);
    }

    /** Against which its links are read. */
    public function base(): string
    {
        foreach (Html::elements($this->document, 'base') as $base) {
            if ($base->getAttribute('href') !== '') {
                return Address::resolved($base->getAttribute('href'), $this->address);
            }
        }

        return $this->address;
    }

    /** @return list<array{css: string|null, href: string|null, media: string}> style sheets in their order */
    public function sheets(): array
    {
        $sheets = [];
        foreach (Html::elements($this->document, '*') as $element) {
            $tag = strtolower((string) $element->localName);
            $media = $element->getAttribute('media');
            if ($tag === 'style' && ! self::isClosed($element)) {
                $sheets[] = ['css' => $element->textContent, 'href' => null, 'media' => $media];
            } elseif ($tag === 'link' && ! self::isClosed($element)) {
                $rel = Pieces::of(strtolower($element->getAttribute('rel')));
                // One that a script switches on after it has come is meant to hold.
                $isHeld = in_array('preload', $rel, true) && strtolower($element->getAttribute('as')) === 'style';
                if ((in_array('stylesheet', $rel, true) && ! in_array('alternate', $rel, true)) || $isHeld) {
                    $isLate = $media === 'print' && str_contains($element->getAttribute('onload'), 'media');
                    $href = trim($element->getAttribute('href'));
                    $sheets[] = [
                        'css' => null,
                        'href' => $href === '' ? null : Address::resolved($href, $this->base()),
                        'media' => $isLate ? '' : $media,
                    ];
                }
            }
        }

        return array_values(array_filter($sheets, fn (array $sheet): bool => $sheet['css'] !== null || $sheet['href'] !== null));
    }

    /**
     * The cascade of it, at a size and in a scheme.
     *
     * @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch  a sheet by its whole address; null where
     *     it cannot be had
     */
    public function styles(Viewport $viewport, Closure $fetch): PageStyles
    {
        $names = new PageNames($this->document);
        $at = $this->base();
        $import = function (string $href) use (&$at, $fetch): ?array {
            $sheet = $fetch(Address::resolved($href, $at));

            return $sheet;
        };
        $reader = new SheetReader($viewport, $names, $import);
        foreach ($this->sheets() as $sheet) {
            $at = $sheet['href'] ?? $this->base();
            $found = $sheet['href'] === null ? [
                'css' => (string) $sheet['css'],
                'name' => 'the page itself',
                'address' => $at,
            ] : $fetch($sheet['href']);
            if ($found !== null) {
                $at = $found['address'];
                $reader->read($found['css'], $found['name'], $at, $sheet['media']);
            }
        }

        return PageStyles::of($reader, $viewport);
    }

    public function body(): ?DOMElement
    {
        return Html::elements($this->document, 'body')[0] ?? null;
    }

    /** Whether a template or a fallback holds it, which nobody sees. */
    private static function isClosed(DOMElement $element): bool
    {
        for ($at = $element->parentNode; $at instanceof DOMElement; $at = $at->parentNode) {
            if (in_array(strtolower((string) $at->localName), ['template', 'noscript', 'svg'], true)) {
                return true;
            }
        }

        return $element->hasAttribute('disabled');
    }
}
