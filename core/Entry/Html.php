<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DOMDocument;
use DOMElement;
use DOMNode;
use DOMText;
use Gnomic\Text\Address;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;
use Masterminds\HTML5;
use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;

/** Markup from outside: hostile until it has passed through here. */
final class Html
{
    /** Characters of markup that are read; what is beyond is cut. Far more than any review has. */
    private const MOST = 200_000;

    /** Of the markup of one entry. */
    private const MOST_TAGS = 10_000;

    private const KEPT = ['p', 'br', 'b', 'strong', 'i', 'em', 'u', 's', 'del', 'ins', 'mark', 'small', 'sub', 'sup', 'q',
        'cite', 'abbr', 'code', 'pre', 'blockquote', 'ul', 'ol', 'li', 'dl', 'dt', 'dd', 'hr', 'h3', 'h4', 'h5', 'h6', 'a'];

    /** Elements that begin and end a line of text. */
    private const BLOCKS = ['address', 'article', 'aside', 'blockquote', 'center', 'dd', 'details', 'div', 'dl', 'dt', 'figcaption',
        'figure', 'footer', 'form', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'header', 'hr', 'li', 'main', 'nav', 'ol', 'p', 'pre',
        'section', 'table', 'tr', 'ul'];

    private const UNSEEN = [
        'script',
        'style',
        'template',
        'noscript',
        'head',
        'title',
        'iframe',
        'object',
        'svg',
        'math',
        'textarea',
        'select',
    ];

    /**
     * The words' own markup and links, nothing else: no pictures, styles, classes, scripts or forms.
     *
     * @param  string|null  $base  address that relative links are resolved against
     */
    public static function sanitised(string $html, ?string $base): string
    {
        $html = self::bounded($html);
        if ($base !== null && stripos($html, 'href') !== false) {
            $html = self::withWholeLinks($html, $base);
        }

        return trim(self::sanitizer()->sanitize($html));
    }

    /** Text as it reads on a page: blocks on lines of their own, scripts and styles left out, entities decoded. */
    public static function toText(string $html): string
    {
        $html = self::bounded($html);
        if (! str_contains($html, '<')) {
            return Words::tidy(html_entity_decode($html, ENT_QUOTES | ENT_HTML5, 'UTF-8'));
        }
        $text = '';
        self::speak(self::parsed($html), $text, false);

        return Words::tidy($text);
    }

    /**
     * The pictures that the markup shows, whole addresses only. Those of one or two pixels are counters and left out.
     *
     * @return list<Media>
     */
    public static function pictures(string $html, ?string $base): array
    {
        if (stripos($html, '<img') === false) {
            return [];
        }
        $pictures = [];
        $fragment = self::parsed(self::bounded($html)); // kept in hand: its elements live no longer than it
        foreach (self::elements($fragment, 'img') as $image) {
            $url = Address::webOrNull($image->getAttribute('src'), $base);
            [$width, $height] = [self::pixels($image->getAttribute('width')), self::pixels($image->getAttribute('height'))];
            if ($url !== null && min($width ?? 3, $height ?? 3) > 2) {
                $pictures[] = new Media('image', $url, $width, $height, Words::line($image->getAttribute('alt')));
            }
        }

        return $pictures;
    }

    /** What toText() says of something that has been parsed already. @param  int  $most  bytes after which it breaks off */
    public static function textOf(DOMNode $node, int $most = self::MOST): string
    {
        $text = '';
        self::speak($node, $text, false, $most);

        return Words::tidy($text);
    }

    /** The markup within an element, as it stands: not sanitised. */
    public static function within(DOMElement $element): string
    {
        return self::parser()->saveHTML($element->childNodes);
    }

    /**
     * @param  string  $name  "*" for all
     * @return list<DOMElement> every element of that name, in the order of the document
     */
    public static function elements(DOMNode $within, string $name): array
    {
        $found = [];
        $stack = [$within];
        while ($stack !== []) {
            $node = array_pop($stack);
            if ($node instanceof DOMElement && ($name === '*' || $node->localName === $name)) {
                $found[] = $node;
            }
            for ($child = $node->lastChild; $child !== null; $child = $child->previousSibling) {
                $stack[] = $child;
            }
        }

        return $found;
    }

    /** Plain text as the simplest markup that shows it. */
    public static function fromText(string $text): string
    {
        $paragraphs = Pieces::of($text, '/\n{2,}/');

        return implode('', array_map(
            fn (string $paragraph): string => '<p>'.str_replace("\n", '<br>', htmlspecialchars($paragraph, ENT_QUOTES)).'</p>',
            $paragraphs));
    }

    public static function document(string $html): DOMDocument
    {
        return self::parser()->loadHTML(BoundedMarkup::of($html)->html);
    }

    /** As much of a fragment as is read, in bounds that a parser can be given. */
    private static function bounded(string $html): string
    {
        return BoundedMarkup::of(mb_scrub(mb_substr($html, 0, self::MOST)), self::MOST_TAGS)->html;
    }

    private static function withWholeLinks(string $html, string $base): string
    {
        $fragment = self::parsed($html);
        foreach (self::elements($fragment, 'a') as $link) {
            $address = trim($link->getAttribute('href'));
            if ($address !== '' && preg_match('/^[a-z][a-z0-9+.-]*:/i', $address) !== 1) {
                $link->setAttribute('href', Address::resolved($address, $base));
            }
        }

        return self::parser()->saveHTML($fragment);
    }

    private static function speak(DOMNode $node, string &$text, bool $preformatted, int $most = PHP_INT_MAX): void
    {
        for ($child = $node->firstChild; $child !== null && strlen($text) <= $most; $child = $child->nextSibling) {
            if ($child instanceof DOMText) {
                $text .= $preformatted ? $child->data : (string) preg_replace('/\s+/u', ' ', $child->data);
            } elseif ($child instanceof DOMElement) {
                $name = strtolower((string) $child->localName);
                if (in_array($name, self::UNSEEN, true)) {
                    continue;
                }
                if ($name === 'br') {
                    $text = rtrim($text, ' ')."\n";

                    continue;
                }
                $break = match (true) {
                    in_array($name, ['p', 'blockquote', 'ul', 'ol', 'pre', 'table'], true) => "\n\n",
                    in_array($name, self::BLOCKS, true) => "\n",
                    default => '',
                };
                self::breakOff($text, $break);
                self::speak($child, $text, $preformatted || $name === 'pre', $most);
                self::breakOff($text, $break);
                if (in_array($name, ['td', 'th'], true)) {
                    $text .= ' ';
                }
            }
        }
    }

    private static function breakOff(string &$text, string $break): void
    {
        $bare = rtrim($text, ' ');
        if ($break !== '' && $bare !== '') {
            $there = strlen($bare) - strlen(rtrim($bare, "\n"));
            $text = $bare.str_repeat("\n", max(0, strlen($break) - $there));
        }
    }

    private static function pixels(string $written): ?int
    {
        return preg_match('/^\s*(\d{1,5})(?:px)?\s*$/', $written, $found) === 1 ? (int) $found[1] : null;
    }

    private static function parsed(string $html): DOMNode
    {
        return self::parser()->loadHTMLFragment($html);
    }

    private static function parser(): HTML5
    {
        return new HTML5(['disable_html_ns' => true]);
    }

    private static function sanitizer(): HtmlSanitizer
    {
        static $sanitizer = null;
        if (! $sanitizer instanceof HtmlSanitizer) {
            $config = (new HtmlSanitizerConfig)->withMaxInputLength(-1)
                ->allowLinkSchemes(['http', 'https', 'mailto'])
                ->forceAttribute('a', 'rel', 'nofollow ugc noopener noreferrer');
            foreach (self::KEPT as $element) {
                $config = $config->allowElement($element, $element === 'a' ? ['href'] : []);
            }
            // Their words stay, their wrapping goes; all that is not named here goes with everything in it.
            foreach (['div', 'span', 'section', 'article', 'header', 'footer', 'main', 'figure', 'figcaption', 'font', 'center', 'big',
                'tt',
                'h1',
                'h2',
                'table',
                'tbody',
                'thead',
                'tr',
                'td',
                'th',
                'address',
                'time',
                'label',
                'picture',
                'body',
                'details',
                'summary'] as $element) {
                $config = $config->blockElement($element);
            }
            $sanitizer = new HtmlSanitizer($config);
        }

        return $sanitizer;
    }
}
