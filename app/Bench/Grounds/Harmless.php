<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use DOMCdataSection;
use DOMComment;
use DOMElement;
use DOMNode;
use DOMProcessingInstruction;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Entry\Html;

/**
 * A page as a picture of itself: nothing in it runs, nothing is sent, nothing opens. It is shown in a frame of no origin, whose policy
 * lets no script run but Gnomic's; that its own are taken out is the second lock.
 */
final class Harmless
{
    private const AWAY = ['script', 'noscript', 'iframe', 'frame', 'frameset', 'object', 'embed', 'applet', 'portal', 'template', 'base'];

    private const ADDRESSES = ['href', 'src', 'action', 'formaction', 'xlink:href', 'data', 'poster', 'srcdoc', 'ping'];

    /** @param  string  $script  address of Gnomic's own, that puts the widget in */
    public static function of(StyledPage $page, string $script, string $host): string
    {
        $document = $page->document;
        $base = $page->base();
        foreach (self::AWAY as $tag) {
            foreach (Html::elements($document, $tag) as $element) {
                $element->parentNode?->removeChild($element);
            }
        }
        self::plain($document);
        foreach (Html::elements($document, '*') as $element) {
            self::disarm($element);
        }
        $head = Html::elements($document, 'head')[0] ?? null;
        if ($head !== null) {
            $first = $document->createElement('base');
            $first->setAttribute('href', $base);
            $head->insertBefore($first, $head->firstChild);
            foreach ([$script, "$host/gnomic.js"] as $address) {
                $own = $document->createElement('script');
                $own->setAttribute('src', $address);
                $own->setAttribute($address === $script ? 'type' : 'async', $address === $script ? 'module' : '');
                $head->appendChild($own);
            }
        }

        return "<!doctype html>\n".$document->saveHTML($document->documentElement);
    }

    /**
     * What is neither element nor text would be written out as it stands, and read again as something else: sections of XML,
     * comments and instructions go; and a style sheet that could end itself is none.
     */
    private static function plain(DOMNode $within): void
    {
        foreach (iterator_to_array($within->childNodes) as $node) {
            if ($node instanceof DOMCdataSection || $node instanceof DOMComment || $node instanceof DOMProcessingInstruction) {
                $within->removeChild($node);
            } elseif ($node instanceof DOMElement && strtolower((string) $node->localName) === 'style'
                && preg_match('~(?:<|&lt;)[/!?]~i', $node->textContent) === 1) {
                $within->removeChild($node);
            } else {
                self::plain($node);
            }
        }
    }

    private static function disarm(DOMElement $element): void
    {
        $tag = strtolower((string) $element->localName);
        foreach (iterator_to_array($element->attributes) as $attribute) {
            $name = strtolower($attribute->nodeName);
            $isScript = preg_match('/^[\s\x00-\x20]*(?:javascript|vbscript|data:text\/html)/i', $attribute->nodeValue ?? '') === 1;
            if (str_starts_with($name, 'on') || in_array(
                $name,
                ['srcdoc', 'ping', 'autofocus', 'nonce', 'integrity', 'http-equiv', 'target'],
                true,
            )
                || (in_array($name, self::ADDRESSES, true) && $isScript)) {
                $element->removeAttribute($attribute->nodeName);
            }
        }
        if ($tag === 'meta' || ($tag === 'link' && preg_match('/\b(?:stylesheet|icon)\b/i', $element->getAttribute('rel')) !== 1)) {
            $isStyle = $tag === 'link' && strtolower($element->getAttribute('as')) === 'style';
            if ($isStyle) {
                $element->setAttribute('rel', 'stylesheet');
            } elseif ($tag === 'link' || ($element->getAttribute('name') !== 'viewport' && ! $element->hasAttribute('charset'))) {
                $element->parentNode?->removeChild($element);
            }
        }
        if ($tag === 'link' && $element->getAttribute('media') === 'print') {
            $element->removeAttribute('media');
        }
        if ($tag === 'gnomic-widget') {
            // Where a widget stands; the one on the bench is put there, the others are left as they are. Of a type of its own, so
            // that none of the page's own parts has another count.
            $place = $element->ownerDocument?->createElement('gnomic-here');
            if ($place !== null) {
                $place->setAttribute('style', 'display:block');
                $place->setAttribute('data-gnomic-here', $element->getAttribute('key'));
                $element->parentNode?->replaceChild($place, $element);
            }
        }
    }
}
