<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMElement;
use Gnomic\Entry\Html;
use Gnomic\Text\Address;

/** What an element says as the value of a property (HTML standard, §5.2.4, and RDFa Lite, which agree but for "content"). */
final class MarkedValues
{
    private const ADDRESSES = ['a' => 'href', 'area' => 'href', 'link' => 'href', 'img' => 'src', 'audio' => 'src', 'video' => 'src',
        'source' => 'src', 'track' => 'src', 'embed' => 'src', 'iframe' => 'src', 'object' => 'data'];

    public static function of(DOMElement $element, ?string $base): string
    {
        $name = strtolower((string) $element->localName);
        // "content" belongs to meta only, but pages write it everywhere, and always mean it (common practice).
        if ($element->hasAttribute('content')) {
            return trim($element->getAttribute('content'));
        }
        if ($name === 'time' && $element->hasAttribute('datetime')) {
            return trim($element->getAttribute('datetime'));
        }
        if (in_array($name, ['data', 'meter'], true) && $element->hasAttribute('value')) {
            return trim($element->getAttribute('value'));
        }
        $attribute = self::ADDRESSES[$name] ?? ($element->hasAttribute('resource') ? 'resource' : null);
        if ($attribute !== null && $element->hasAttribute($attribute)) {
            return (string) self::whole($element->getAttribute($attribute), $base);
        }

        return Html::textOf($element);
    }

    public static function whole(string $address, ?string $base): ?string
    {
        $address = trim($address);

        return $address === '' ? null : Address::resolved($address, $base);
    }
}
