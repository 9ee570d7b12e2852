<?php

declare(strict_types=1);

namespace Gnomic\Place\Policy;

use Gnomic\Text\Pieces;

/**
 * One Content-Security-Policy of a page, and what it refuses: Content Security Policy Level 3 (w3.org/TR/CSP3), as Chromium keeps it.
 */
final readonly class ContentPolicy
{
    /** Of a meta element, these mean nothing (§3.3). */
    private const NOT_IN_META = ['report-uri', 'frame-ancestors', 'sandbox'];

    /** Characters that are read. */
    private const LONGEST = 65_536;

    /** @param  array<string, list<string>>  $directives  by name in small letters */
    private function __construct(public array $directives, public string $from, public bool $isEnforced, public string $written)
    {
    }

    /** @param  'header'|'meta'  $from */
    public static function read(string $written, string $from = 'header', bool $isEnforced = true): self
    {
        $directives = [];
        foreach (explode(';', substr($written, 0, self::LONGEST)) as $directive) {
            $words = Pieces::of($directive, '/[\t\n\f\r ]+/');
            $name = strtolower(array_shift($words) ?? '');
            // Of two with one name, the first counts.
            if ($name !== '' && ! isset($directives[$name]) && ($from === 'header' || ! in_array($name, self::NOT_IN_META, true))) {
                $directives[$name] = $words;
            }
        }

        return new self($directives, $from, $isEnforced, trim($written));
    }

    /**
     * All policies of an answer: a header may be there several times, and hold several with commas between;
     * so may, for browsers, a meta element.
     *
     * @param  list<string>  $headers  of the name Content-Security-Policy
     * @param  list<string>  $reporting  of the name Content-Security-Policy-Report-Only
     * @param  list<string>  $metas
     * @return list<self>
     */
    public static function all(array $headers, array $reporting = [], array $metas = []): array
    {
        $split = function (array $lines): array {
            /** @var list<string> $lines */
            return array_map(trim(...), explode(',', implode(',', $lines)));
        };
        $policies = [
            ...array_map(fn (string $one): self => self::read($one), $split($headers)),
            ...array_map(fn (string $one): self => self::read($one, isEnforced: false), $split($reporting)),
            ...array_map(fn (string $one): self => self::read($one, 'meta'), $split($metas)),
        ];

        return array_values(array_filter($policies, fn (self $policy): bool => $policy->directives !== []));
    }

    /**
     * Why it does not let a page have something.
     *
     * @param  string  $page  address of the page
     * @return Refusal|null null where it does
     */
    public function refuses(PolicyQuestion $wanted, string $page): ?Refusal
    {
        $sandbox = $this->directives['sandbox'] ?? null;
        if ($sandbox !== null && $wanted->need === Need::Script && ! in_array(
            'allow-scripts',
            array_map(strtolower(...), $sandbox),
            true,
        )) {
            return Refusal::sandbox($this, $wanted);
        }
        foreach ($wanted->need->directives() as $name) {
            if (isset($this->directives[$name])) {
                $list = SourceList::of($this->directives[$name]);

                return $list->lets($wanted, $page) ? null : Refusal::of($this, $wanted, $name, $list);
            }
        }

        return null;
    }
}
