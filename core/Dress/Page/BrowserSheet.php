<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;

/** What browsers do where no style sheet says: HTML, 15, "Rendering", as far as it touches the look of text and boxes. */
final class BrowserSheet
{
    /** Properties that children take over, with what they are at the root. */
    public const INHERITED = ['color' => 'canvastext', 'font-family' => 'Times New Roman', 'font-size' => '16px', 'font-weight' => '400',
        'font-style' => 'normal', 'line-height' => 'normal', 'color-scheme' => 'normal', 'text-transform' => 'none',
        'letter-spacing' => 'normal'];

    /** The others. */
    public const INITIAL = ['background-color' => 'transparent', 'background-image' => 'none', 'box-shadow' => 'none', 'opacity' => '1',
        'display' => 'inline', 'row-gap' => 'normal', 'column-gap' => 'normal', 'text-decoration-line' => 'none',
        'text-decoration-style' => 'solid', 'text-decoration-thickness' => 'auto', 'width' => 'auto', 'min-width' => 'auto',
        'max-width' => 'none', 'margin-left' => '0px', 'margin-right' => '0px', 'box-sizing' => 'content-box', 'float' => 'none',
        'position' => 'static', 'flex-direction' => 'row', 'align-items' => 'normal', 'grid-template-columns' => 'none',
        'container-type' => 'normal', 'container-name' => 'none',
        'border-top-width' => '3px', 'border-right-width' => '3px', 'border-bottom-width' => '3px', 'border-left-width' => '3px',
        'border-top-style' => 'none', 'border-right-style' => 'none', 'border-bottom-style' => 'none', 'border-left-style' => 'none',
        'border-top-color' => 'currentcolor', 'border-right-color' => 'currentcolor', 'border-bottom-color' => 'currentcolor',
        'border-left-color' => 'currentcolor', 'border-top-left-radius' => '0px', 'border-top-right-radius' => '0px',
        'border-bottom-right-radius' => '0px', 'border-bottom-left-radius' => '0px', 'padding-top' => '0px', 'padding-right' => '0px',
        'padding-bottom' => '0px', 'padding-left' => '0px'];

    private const BLOCKS = ['html', 'body', 'address', 'article', 'aside', 'blockquote', 'center', 'dialog', 'dd', 'div', 'dl', 'dt',
        'fieldset', 'figcaption', 'figure', 'footer', 'form', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'header', 'hgroup', 'hr', 'legend', 'li',
        'main', 'nav', 'ol', 'optgroup', 'option', 'p', 'pre', 'search', 'section', 'summary', 'ul', 'details', 'menu'];

    private const HEADINGS = ['h1' => '2em', 'h2' => '1.5em', 'h3' => '1.17em', 'h4' => '1em', 'h5' => '0.83em', 'h6' => '0.67em'];

    private const MONOSPACE = ['code', 'kbd', 'samp', 'pre', 'tt', 'listing', 'xmp'];

    private const FIELD = ['font-family' => 'Arial', 'font-size' => '13.3333px', 'font-weight' => '400', 'font-style' => 'normal',
        'line-height' => 'normal', 'display' => 'inline-block'];

    /** @return array<string, string> */
    public static function of(DOMElement $element): array
    {
        $tag = strtolower((string) $element->localName);
        $set = in_array($tag, self::BLOCKS, true) ? ['display' => $tag === 'li' ? 'list-item' : 'block'] : [];
        $set += self::margins($tag);
        $set += match (true) {
            isset(self::HEADINGS[$tag]) => ['font-size' => self::HEADINGS[$tag], 'font-weight' => 'bold'],
            in_array($tag, ['b', 'strong', 'th'], true) => ['font-weight' => $tag === 'th' ? 'bold' : 'bolder'],
            in_array($tag, ['small', 'sub', 'sup'], true) => ['font-size' => 'smaller'],
            $tag === 'big' => ['font-size' => 'larger'],
            in_array($tag, self::MONOSPACE, true) => ['font-family' => 'monospace', 'font-size' => '0.8125em'],
            in_array($tag, ['i', 'em', 'cite', 'var', 'dfn', 'address'], true) => ['font-style' => 'italic'],
            $tag === 'mark' => ['background-color' => 'yellow', 'color' => 'black'],
            $tag === 'a' && $element->hasAttribute('href') => ['color' => 'linktext', 'text-decoration-line' => 'underline'],
            $tag === 'button', $tag === 'input' && in_array(
                strtolower($element->getAttribute('type')),
                ['submit', 'button', 'reset'],
                true,
            ) => self::FIELD + [
                'color' => 'buttontext', 'background-color' => 'buttonface'] + self::boxed('2px', 'outset', 'buttonborder') + [
                    'padding-top' => '1px', 'padding-right' => '6px', 'padding-bottom' => '1px', 'padding-left' => '6px'],
            in_array($tag, ['input', 'textarea', 'select'], true) => self::FIELD + ['color' => 'fieldtext', 'background-color' => 'field']
                + self::boxed($tag === 'input' ? '2px' : '1px', $tag === 'input' ? 'inset' : 'solid', 'rgb(118,118,118)'),
            $tag === 'table' => ['display' => 'table'],
            in_array($tag, ['td', 'tr'], true) => ['display' => "table-$tag"] + ($tag === 'td' ? self::padded('1px') : []),
            default => [],
        };

        return self::attributes($tag, $element) + ($tag === 'th' ? self::padded('1px') : []) + $set;
    }

    /** @return array<string, string> beside boxes */
    private static function margins(string $tag): array
    {
        return match ($tag) {
            'body' => ['margin-left' => '8px', 'margin-right' => '8px'],
            'ul', 'ol', 'menu' => ['padding-left' => '40px'],
            'blockquote', 'figure' => ['margin-left' => '40px', 'margin-right' => '40px'],
            'dd' => ['margin-left' => '40px'],
            default => [],
        };
    }

    /** @return array<string, string> */
    private static function boxed(string $width, string $style, string $colour): array
    {
        $set = [];
        foreach (Shorthands::SIDES as $side) {
            $set += ["border-$side-width" => $width, "border-$side-style" => $style, "border-$side-color" => $colour];
        }

        return $set;
    }

    /** @return array<string, string> */
    private static function padded(string $by): array
    {
        return ['padding-top' => $by, 'padding-right' => $by, 'padding-bottom' => $by, 'padding-left' => $by];
    }

    /** @return array<string, string> of attributes that say how something looks, as pages of old have them */
    private static function attributes(string $tag, DOMElement $element): array
    {
        $set = [];
        $colour = fn (string $value): string => preg_match('/^[0-9a-f]{6}$/i', $value) === 1 ? "#$value" : $value;
        if (in_array($tag, ['body', 'table', 'tr', 'td', 'th'], true) && $element->getAttribute('bgcolor') !== '') {
            $set['background-color'] = $colour($element->getAttribute('bgcolor'));
        }
        if ($tag === 'body' && $element->getAttribute('text') !== '') {
            $set['color'] = $colour($element->getAttribute('text'));
        }
        if ($tag === 'body' && $element->getAttribute('background') !== '') {
            $set['background-image'] = 'url('.$element->getAttribute('background').')';
        }
        if ($tag === 'a' && $element->hasAttribute('href')) {
            for ($at = $element->parentNode; $at instanceof DOMElement; $at = $at->parentNode) {
                if (strtolower((string) $at->localName) === 'body' && $at->getAttribute('link') !== '') {
                    $set['color'] = $colour($at->getAttribute('link'));
                }
            }
        }
        if ($tag === 'font') {
            $sizes = [1 => '10px', '13px', '16px', '18px', '24px', '32px', '48px'];
            $set += $element->getAttribute('color') === '' ? [] : ['color' => $colour($element->getAttribute('color'))];
            $set += $element->getAttribute('face') === '' ? [] : ['font-family' => $element->getAttribute('face')];
            $set += isset(
                $sizes[(int) $element->getAttribute('size')],
            ) ? ['font-size' => $sizes[(int) $element->getAttribute('size')]] : [];
        }

        return $set;
    }
}
