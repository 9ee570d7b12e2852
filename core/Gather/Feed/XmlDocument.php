<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use DOMDocument;
use DOMElement;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;

/**
 * XML as feeds really send it: parsed by libxml in its recovering mode, after what breaks most feeds has been mended,
 * and item by item where one broken item would hide those behind it. What was mended is reported with its line.
 */
final readonly class XmlDocument
{
    /** Problems listed; a broken file can have thousands and the first few tell. */
    private const MOST_PROBLEMS = 20;

    /** Bytes of a root tag that is written before every item which is parsed by itself. */
    private const LONGEST_ROOT = 20_000;

    /** @param  list<Problem>  $problems */
    private function __construct(public DOMDocument $document, public array $problems)
    {
    }

    public static function parsed(string $text, ?string $encodingProblem = null): self
    {
        $problems = $encodingProblem === null ? [] : [new Problem('', $encodingProblem)];
        $clean = self::cleaned($text, $problems);
        [$document, $errors] = self::loaded($clean);
        if ($errors !== []) {
            $document = self::completed($document, $clean);
            array_push($problems, ...$errors);
        }

        return new self($document, array_slice($problems, 0, self::MOST_PROBLEMS));
    }

    /** @param  list<Problem>  $problems */
    private static function cleaned(string $text, array &$problems): string
    {
        $start = strpos($text, '<');
        if ($start !== false && trim(substr($text, 0, $start), "\u{FEFF} \t\r\n") !== '') {
            $problems[] = new Problem('line 1', 'There is text before the first element; it was skipped.');
        }
        $text = substr($text, (int) $start);
        // The text is UTF-8 by now, whatever the declaration says. Lines stay where they are, for the reports.
        $text = (string) preg_replace('/^<\?xml[^>]*\?>/', '<?xml version="1.0" encoding="UTF-8"?>', $text);
        // A document type can define entities that grow without end (CWE-776) or name files; no feed needs one.
        $text = (string) preg_replace_callback('/<!DOCTYPE[^>\[]*(?:\[.*?\]\s*)?>/s', self::emptyLines(...), $text);
        $stripped = (string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F]|\xEF\xBF[\xBE\xBF]/', '', $text);
        if ($stripped !== $text) {
            $problems[] = new Problem('', 'It holds control characters that XML does not allow; they were left out.');
        }

        return self::withNumericEntities(self::inSmallLetters($stripped), $problems);
    }

    /** Names that are written in capitals throughout, as some programs do though XML tells capitals apart, as the formats write them. */
    private static function inSmallLetters(string $text): string
    {
        if (preg_match('/<(?:RSS|RDF:RDF|CHANNEL|FEED)[\s>]/', substr($text, 0, self::LONGEST_ROOT)) !== 1) {
            return $text;
        }
        $name = fn (string $name): string => strtr(strtolower($name), ['pubdate' => 'pubDate', 'ispermalink' => 'isPermaLink']);
        $small = preg_replace_callback(
            '~<!\[CDATA\[.*?\]\]>|<!--.*?-->|<(/?)([A-Za-z][\w:.-]*)((?:[^>"\']++|"[^"]*"|\'[^\']*\')*+)>~s',
            fn (array $tag): string => isset($tag[2]) ? "<$tag[1]{$name($tag[2])}".preg_replace_callback(
                '/(\s)([A-Za-z][\w:.-]*)(\s*=\s*(?:"[^"]*"|\'[^\']*\'))/',
                fn (array $attribute): string => $attribute[1].$name($attribute[2]).$attribute[3],
                $tag[3],
            ).'>' : $tag[0],
            $text,
        );

        return $small ?? $text;
    }

    /** @param  array<string>  $match */
    private static function emptyLines(array $match): string
    {
        return str_repeat("\n", substr_count($match[0], "\n"));
    }

    /**
     * HTML's named entities as characters, and every other ampersand that begins none escaped. CDATA and comments stay.
     *
     * @param  list<Problem>  $problems
     */
    private static function withNumericEntities(string $text, array &$problems): string
    {
        $parts = preg_split('/(<!\[CDATA\[.*?\]\]>|<!--.*?-->)/s', $text, -1, PREG_SPLIT_DELIM_CAPTURE);
        $parts = $parts === false ? [$text] : $parts;
        $line = 1;
        foreach ($parts as $index => $part) {
            if (! str_starts_with($part, '<!') && str_contains($part, '&')) {
                $parts[$index] = (string) preg_replace_callback('/&(?:#(?:\d{1,7}|x[0-9a-f]{1,6});|([a-z][a-z0-9]{1,31});)?/i',
                    function (array $match) use (&$problems, $part, $line): string {
                        $whole = $match[0][0];
                        $name = $match[1][0] ?? '';
                        if (in_array($name, ['amp', 'lt', 'gt', 'quot', 'apos'], true) || str_starts_with($whole, '&#')) {
                            return $whole;
                        }
                        $decoded = $name === '' ? '&' : html_entity_decode($whole, ENT_QUOTES | ENT_HTML5, 'UTF-8');
                        if (count($problems) < self::MOST_PROBLEMS && ($name === '' || $decoded === $whole)) {
                            $at = $line + substr_count($part, "\n", 0, $match[0][1]);
                            $problems[] = new Problem("line $at", "An ampersand is not escaped (\"$whole\"); it was read as text.");
                        }

                        return htmlspecialchars($decoded, ENT_XML1 | ENT_QUOTES, 'UTF-8');
                    }, $part, -1, $count, PREG_OFFSET_CAPTURE);
            }
            $line += substr_count($part, "\n");
        }

        return implode('', $parts);
    }

    /** @return array{DOMDocument, list<Problem>} */
    private static function loaded(string $xml): array
    {
        $before = libxml_use_internal_errors(true);
        libxml_clear_errors();
        $document = new DOMDocument;
        $document->recover = true;
        $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT);
        $problems = [];
        foreach (libxml_get_errors() as $error) {
            // A relative namespace name is odd but legal; the rest was mended by libxml.
            if ($error->code !== 100 && $error->code !== 99) {
                $problems[] = new Problem(
                    "line $error->line",
                    'The XML is not well formed ('.trim($error->message).'); what could be read was.',
                );
            }
        }
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return [$document, $problems];
    }

    /** Where recovery lost items behind a fault, each item is parsed on its own within the document's own root. */
    private static function completed(DOMDocument $document, string $xml): DOMDocument
    {
        $root = $document->documentElement;
        if ($root === null || preg_match('/<(?![?!])[^>]+>/', $xml, $open) !== 1 || strlen($open[0]) > self::LONGEST_ROOT) {
            return $document;
        }
        preg_match_all('~<((?:[\w-]+:)?(?:item|entry))(?:\s[^>]*)?>.*?(?:</\1\s*>|(?=<\1[\s>])|\z)~s', $xml, $chunks);
        if (count($chunks[0]) < count(self::items($root))) {
            return $document;
        }
        $rebuilt = new DOMDocument;
        $rebuilt->appendChild($rebuilt->importNode($root, true));
        $target = $rebuilt->documentElement;
        foreach ($target === null ? [] : self::items($target) as $item) {
            $item->parentNode?->removeChild($item);
        }
        $end = '</'.preg_replace('/^<([^\s>]+).*$/s', '$1', $open[0]).'>';
        foreach (array_slice($chunks[0], 0, Reading::MOST + 1) as $chunk) {
            [$part, $faults] = self::loaded($open[0].$chunk.$end);
            if ($faults !== [] && preg_match('~^<item\b~', $chunk) === 1) { // of RSS: Atom's may hold markup
                [$part] = self::loaded($open[0].self::withMarkupAsText($chunk).$end);
            }
            $item = $part->documentElement === null ? null : (self::items($part->documentElement)[0] ?? null);
            if ($item !== null && $target !== null) {
                $target->appendChild($rebuilt->importNode($item, true));
            }
        }

        return $rebuilt;
    }

    /**
     * Markup that was not escaped, in the elements of an item that hold none but their text: an unclosed tag there would swallow what
     * follows.
     */
    private static function withMarkupAsText(string $item): string
    {
        return (string) preg_replace_callback(
            '~<(title|description|link|guid|author|category|pubDate|content:encoded|dc:\w+)(\s[^>]*)?>(.*?)</\1\s*>~s',
            fn (array $element): string => str_contains($element[3], '<') && ! str_contains($element[3], '<![CDATA[')
                ? "<$element[1]$element[2]>".str_replace('<', '&lt;', $element[3])."</$element[1]>"
                : $element[0],
            $item,
        );
    }

    /**
     * @param  list<Problem>  $problems  one more where there are more than are read
     * @return list<DOMElement> items and entries that stand in no other, as many as are read
     */
    public static function bounded(DOMElement $root, array &$problems): array
    {
        $items = self::items($root);
        if (count($items) > Reading::MOST) {
            $problems[] = Reading::tooMany();
        }

        return array_slice($items, 0, Reading::MOST);
    }

    /** @return list<DOMElement> one more than are read where there are more */
    private static function items(DOMElement $root): array
    {
        $found = [];
        $open = [$root->firstElementChild];
        while ($open !== [] && count($found) <= Reading::MOST) {
            $element = array_pop($open);
            if ($element === null) {
                continue;
            }
            $open[] = $element->nextElementSibling;
            if (preg_match('/^(?:[\w-]+:)?(?:item|entry)$/i', (string) $element->localName) === 1) {
                $found[] = $element;
            } else {
                $open[] = $element->firstElementChild;
            }
        }

        return $found;
    }
}
