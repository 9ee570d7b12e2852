<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use DOMDocument;
use DOMElement;
use DOMNode;
use DOMText;
use Gnomic\Entry\Html;
use Gnomic\Text\Address;

/** What of Gnomic a page has in it: elements, scripts, frames, and codes that have become text. */
final readonly class PageTags
{
    /** Types that a browser runs (HTML Standard, "JavaScript MIME type"; a module is one, too). */
    private const RUNS = '~^(?:module|(?:text|application)/(?:x-)?(?:java|ecma)script|text/(?:jscript|livescript))?$~i';

    /** Seconds after which nobody has read a page yet that sends them on. */
    private const SOON = 5;

    /** Attributes by which banners that ask for consent keep an address until it is given (common practice). */
    private const HELD = ['data-src', 'data-cmp-src', 'data-cookieblock-src', 'data-suppressedsrc', 'data-blocked-src', 'data-lazy-src'];

    /**
     * @param  list<Tag>  $elements
     * @param  list<Tag>  $scripts  of the element
     * @param  list<Tag>  $siteScripts
     * @param  list<Tag>  $frames
     * @param  list<string>  $escaped  keys in codes that stand on the page as words
     * @param  list<string>  $metas  policies in meta elements that browsers heed
     * @param  string|null  $sentOnTo  address that the page sends its visitors on to, at once or nearly
     * @param  list<string>  $laterMetas  of those, the ones that come only after the first script of ours
     */
    private function __construct(
        public DOMDocument $document,
        public array $elements,
        public array $scripts,
        public array $siteScripts,
        public array $frames,
        public array $escaped,
        public array $metas,
        public ?string $title,
        public ?string $language,
        public bool $asksToSignIn,
        public ?string $sentOnTo = null,
        public array $laterMetas = [],
    ) {
    }

    /** @param  string  $host  of Gnomic, without a slash at its end */
    public static function of(FetchedPage $page, string $host): self
    {
        $document = Html::document($page->html);
        $elements = $scripts = $siteScripts = $frames = $metas = $later = [];
        $sentOnTo = null;
        $title = $language = null;
        $passwords = 0;
        $base = $page->address;
        foreach (Html::elements($document, '*') as $element) {
            switch ($element->localName) {
                case 'base':
                    $base = Address::resolved($element->getAttribute('href'), $page->address);
                    break;
                case 'gnomic-widget':
                    $elements[] = new Tag(self::key($element), '', $element);
                    break;
                case 'script':
                    self::script($element, $host, $base, $scripts, $siteScripts);
                    break;
                case 'iframe':
                    if ($element->hasAttribute('srcdoc')) {
                        self::inside($element, $page, $host, $elements, $scripts, $siteScripts, $frames);
                        break;
                    }
                    $address = Address::resolved(self::address($element, 'src'), $base);
                    if (self::isFrom($address, $host) && preg_match('~/w/([a-z0-9]{4,40})(?:[/?#]|$)~', $address, $found) === 1) {
                        $frames[] = new Tag($found[1], $address, $element, ! $element->hasAttribute('src'));
                    }
                    break;
                case 'meta':
                    $equivalent = strtolower(trim($element->getAttribute('http-equiv')));
                    // Elsewhere browsers do not heed it (CSP 3, §3.3).
                    if ($equivalent === 'content-security-policy' && in_array($element->parentNode?->nodeName, ['head', 'html'], true)) {
                        $metas[] = $element->getAttribute('content');
                        if ($scripts !== [] || $siteScripts !== []) {
                            $later[] = $element->getAttribute('content');
                        }
                    } elseif ($equivalent === 'refresh') {
                        $sentOnTo ??= self::refresh($element, $base, $page->address);
                    }
                    break;
                case 'title':
                    $title ??= trim((string) preg_replace('/\s+/', ' ', $element->textContent));
                    break;
                case 'html':
                    $language ??= $element->getAttribute('lang') === '' ? null : $element->getAttribute('lang');
                    break;
                case 'input':
                    $passwords += strtolower($element->getAttribute('type')) === 'password' ? 1 : 0;
                    break;
            }
        }

        return new self($document, $elements, $scripts, $siteScripts, $frames, self::escapedIn($document), $metas,
            $title === '' ? null : $title, $language, $passwords > 0, $sentOnTo, $later);
    }

    /** Blanks of every kind around it are no part of it, as its script has it. */
    private static function key(DOMElement $element): string
    {
        return (string) preg_replace('/^[\s\p{Z}\x{FEFF}]+|[\s\p{Z}\x{FEFF}]+$/u', '', $element->getAttribute('key'));
    }

    /**
     * What a frame has in itself stands on the page, where scripts may run in it.
     *
     * @param  list<Tag>  $elements
     * @param  list<Tag>  $scripts
     * @param  list<Tag>  $siteScripts
     * @param  list<Tag>  $frames
     */
    private static function inside(
        DOMElement $frame,
        FetchedPage $page,
        string $host,
        array &$elements,
        array &$scripts,
        array &$siteScripts,
        array &$frames,
    ): void {
        $mayRun = ! $frame->hasAttribute('sandbox') || str_contains(strtolower($frame->getAttribute('sandbox')), 'allow-scripts');
        // A frame in a frame in a frame is nothing that somebody wrote.
        $html = (string) preg_replace('/\ssrcdoc\s*=/i', ' data-srcdoc=', $frame->getAttribute('srcdoc'));
        $inner = self::of(new FetchedPage($html, $page->address), $host);
        if ($mayRun && ! (new Tag('', '', $frame))->isHidden()) {
            array_push($elements, ...$inner->elements);
            array_push($scripts, ...$inner->scripts);
            array_push($siteScripts, ...$inner->siteScripts);
        }
        array_push($frames, ...$inner->frames);
    }

    /** Where a page sends its visitors on to within seconds; null where it stays, or comes again itself. */
    private static function refresh(DOMElement $meta, string $base, string $page): ?string
    {
        $expression = '/^\s*(\d+)(?:\.\d*)?\s*[;,\s]\s*(?:url\s*=\s*)?["\']?([^"\'\s]+)/i';
        if (in_array($meta->parentNode?->nodeName, ['noscript', 'template'], true)
            || preg_match($expression, $meta->getAttribute('content'), $found) !== 1 || (int) $found[1] > self::SOON) {
            return null;
        }
        $to = Address::resolved($found[2], $base);
        $bare = fn (string $one): string => (string) preg_replace('~#.*$~', '', $one);

        return $bare($to) === $bare($page) ? null : $to;
    }

    /**
     * @param  list<Tag>  $scripts
     * @param  list<Tag>  $siteScripts
     */
    private static function script(DOMElement $element, string $host, string $base, array &$scripts, array &$siteScripts): void
    {
        $type = trim($element->getAttribute('type'));
        // Browsers that know modules, as all do, leave out what is for those that do not.
        $isForOld = $element->hasAttribute('nomodule') && strtolower($type) !== 'module';
        if ($isForOld || in_array($element->parentNode?->nodeName, ['noscript'], true)) {
            return;
        }
        $isRun = preg_match(self::RUNS, $type) === 1;
        $written = self::address($element, 'src');
        if ($written === '') {
            // The whole script, put into the page itself.
            if (str_contains($element->textContent, 'gnomic-widget') && str_contains($element->textContent, 'customElements')) {
                $scripts[] = new Tag('', '', $element, ! $isRun);
            }

            return;
        }
        $address = Address::resolved($written, $base);
        $isHeld = ! $isRun || ! $element->hasAttribute('src');
        if (preg_match('~/gnomic(?:-[0-9a-f]+)?\.js(?:[?#]|$)~', $address) === 1) {
            $scripts[] = new Tag('', $address, $element, $isHeld, ! self::isFrom($address, $host));
        } elseif (preg_match('~/s/([a-z0-9]{4,40})\.js(?:[?#]|$)~', $address, $found) === 1 && self::isFrom($address, $host)) {
            $siteScripts[] = new Tag($found[1], $address, $element, $isHeld);
        }
    }

    private static function address(DOMElement $element, string $name): string
    {
        foreach ([$name, ...self::HELD] as $attribute) {
            if (trim($element->getAttribute($attribute)) !== '') {
                return trim($element->getAttribute($attribute));
            }
        }

        return '';
    }

    /** From this host, be it asked with protection or without. */
    private static function isFrom(string $address, string $host): bool
    {
        $plain = fn (string $one): string => strtolower((string) preg_replace('~^https?:~i', '', $one));

        return str_starts_with($plain($address), $plain($host).'/');
    }

    /** @return list<string> */
    private static function escapedIn(DOMNode $document): array
    {
        $keys = [];
        $stack = [$document];
        while ($stack !== []) {
            $node = array_pop($stack);
            if ($node instanceof DOMText && str_contains($node->data, '<gnomic-widget')
                && ! in_array($node->parentNode?->nodeName, ['script', 'style', 'textarea', 'noscript', 'template'], true)
                && preg_match_all('/<gnomic-widget[^>]*\bkey=["\'“”]?\s*([a-z0-9]{4,40})/u', $node->data, $found) > 0) {
                array_push($keys, ...$found[1]);
            }
            for ($child = $node->lastChild; $child !== null; $child = $child->previousSibling) {
                $stack[] = $child;
            }
        }

        return array_values(array_unique($keys));
    }
}
