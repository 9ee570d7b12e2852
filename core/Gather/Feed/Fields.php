<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use DOMElement;
use DOMText;
use Gnomic\Text\Address;
use Gnomic\Text\Words;

/** The child elements of a feed's element, by module and name: "dc:creator", "content:encoded", "title". */
final readonly class Fields
{
    private const MODULES = [
        'http://purl.org/rss/1.0/modules/content/' => 'content:',
        'http://purl.org/dc/elements/1.1/' => 'dc:',
        'http://purl.org/dc/elements/1.0/' => 'dc:',
        'http://purl.org/dc/terms/' => 'dcterms:',
        'http://search.yahoo.com/mrss/' => 'media:',
        'http://search.yahoo.com/mrss' => 'media:',
        'http://purl.org/rss/1.0/modules/slash/' => 'slash:',
        'http://purl.org/syndication/thread/1.0' => 'thr:',
        'http://www.itunes.com/dtds/podcast-1.0.dtd' => 'itunes:',
        'http://www.w3.org/1999/xhtml' => 'xhtml:',
    ];

    private const ATOM = ['http://www.w3.org/2005/Atom', 'http://purl.org/atom/ns#'];

    private const RSS = [
        'http://purl.org/rss/1.0/',
        'http://purl.org/rss/1.0',
        'http://my.netscape.com/rdf/simple/0.9/',
        'http://channel.netscape.com/rdf/simple/0.9/',
        'http://backend.userland.com/rss',
        'http://backend.userland.com/rss2',
        'http://blogs.law.harvard.edu/tech/rss',
        'http://backend.userland.com/RSS2',
    ];

    /** @param  array<string, list<DOMElement>>  $children */
    private function __construct(public DOMElement $element, private array $children, private ?string $address)
    {
    }

    /** @param  'rss'|'atom'  $own the vocabulary whose names stand without a module */
    public static function of(DOMElement $element, string $own, ?string $address): self
    {
        $children = [];
        for ($child = $element->firstChild; $child !== null; $child = $child->nextSibling) {
            if ($child instanceof DOMElement) {
                $children[self::nameOf($child, $own)][] = $child;
            }
        }

        return new self($element, $children, $address);
    }

    /** Modules are told by their namespace; an undeclared prefix, a common fault, is taken for what it says. */
    private static function nameOf(DOMElement $element, string $own): string
    {
        $namespace = (string) $element->namespaceURI;
        $local = (string) $element->localName;
        $module = match (true) {
            isset(self::MODULES[$namespace]) => self::MODULES[$namespace],
            in_array($namespace, self::ATOM, true) => $own === 'atom' ? '' : 'atom:',
            $namespace === '', in_array($namespace, self::RSS, true) => '',
            default => $own === 'rss' && $element->prefix === '' ? '' : $namespace.' ',
        };

        return $module.$local;
    }

    public function first(string ...$names): ?DOMElement
    {
        foreach ($names as $name) {
            if (isset($this->children[$name])) {
                return $this->children[$name][0];
            }
        }

        return null;
    }

    /** @return list<DOMElement> */
    public function all(string $name): array
    {
        return $this->children[$name] ?? [];
    }

    /** Trimmed text of the first of these that is not blank. */
    public function text(string ...$names): ?string
    {
        foreach ($names as $name) {
            foreach ($this->children[$name] ?? [] as $element) {
                $text = trim($element->textContent);
                if ($text !== '') {
                    return $text;
                }
            }
        }

        return null;
    }

    /** The address that relative ones in this element are resolved against: every xml:base above it, outermost first. */
    public function base(?DOMElement $within = null): ?string
    {
        return self::baseOf($within ?? $this->element, $this->address);
    }

    private static function baseOf(DOMElement $element, ?string $address): ?string
    {
        $above = $element->parentNode instanceof DOMElement ? self::baseOf($element->parentNode, $address) : $address;
        $own = trim($element->getAttribute('xml:base'));

        return $own === '' ? $above : Address::resolved($own, $above);
    }

    /** The nearest xml:lang. */
    public function language(?DOMElement $within = null): ?string
    {
        for ($node = $within ?? $this->element; $node instanceof DOMElement; $node = $node->parentNode) {
            if ($node->hasAttribute('xml:lang')) {
                return Words::line($node->getAttribute('xml:lang'));
            }
        }

        return null;
    }

    /** What an element holds as markup, names without their prefixes: for XHTML within XML. */
    public static function inner(DOMElement $element): string
    {
        $html = '';
        for ($child = $element->firstChild; $child !== null; $child = $child->nextSibling) {
            if ($child instanceof DOMElement) {
                $name = strtolower((string) $child->localName);
                $attributes = '';
                foreach ($child->attributes as $attribute) {
                    $attributes .= ' '.$attribute->nodeName.'="'.htmlspecialchars((string) $attribute->nodeValue, ENT_QUOTES).'"';
                }
                $html .= "<$name$attributes>".(in_array($name, ['br', 'img', 'hr'], true) ? '' : self::inner($child)."</$name>");
            } elseif ($child instanceof DOMText) {
                $html .= htmlspecialchars($child->data, ENT_QUOTES);
            }
        }

        return $html;
    }
}
