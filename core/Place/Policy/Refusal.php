<?php

declare(strict_types=1);

namespace Gnomic\Place\Policy;

/** A policy does not let a page have something: by which directive, and what has to stand there instead. */
final readonly class Refusal
{
    /**
     * @param  string  $directive  that decided, as the policy has it
     * @param  string|null  $line  the directive as it has to be, whole; null where adding to it helps nothing
     * @param  string  $next  what to do, in words
     */
    private function __construct(
        public Need $need,
        public ContentPolicy $policy,
        public string $directive,
        public ?string $line,
        public string $next,
    ) {
    }

    /** @internal */
    public static function sandbox(ContentPolicy $policy, PolicyQuestion $wanted): self
    {
        $line = implode(' ', ['sandbox', ...$policy->directives['sandbox'] ?? [], 'allow-scripts']);

        return new self($wanted->need, $policy, 'sandbox', $line, 'The page lets no script run at all: add allow-scripts, or use the '
            .'code without scripts.');
    }

    /** @internal */
    public static function of(ContentPolicy $policy, PolicyQuestion $wanted, string $directive, SourceList $list): self
    {
        $where = $policy->from === 'meta' ? 'In the meta element of the page' : 'In the header of the page';
        if ($wanted->need === Need::Script && $list->isStrict()) {
            $next = $list->hasNonce()
                ? 'Give the script the nonce of the page, as its other scripts have it: <script nonce="…" async src="…">. '
                    .'With strict-dynamic, hosts in the list are ignored.'
                : 'With strict-dynamic, hosts in the list are ignored: give the script a nonce, or let a script that is allowed '
                    .'put it in.';

            return new self($wanted->need, $policy, $directive, null, $next);
        }
        $added = $wanted->address === null ? "'unsafe-inline'" : self::origin($wanted->address);
        $name = $directive === 'default-src' || $directive === 'child-src' ? $wanted->need->directive() : $directive;
        // 'none' beside anything else means nothing, and would only be read as if it did.
        $kept = array_filter(
            $policy->directives[$directive] ?? [],
            fn (string $word): bool => strtolower($word) !== "'none'",
        );
        $line = implode(' ', [$name, ...array_values($kept), $added]);
        $instead = $name === $directive ? "instead of the $name that is there" : "as a directive of its own, since $directive decides now";

        return new self($wanted->need, $policy, $directive, $line, "$where, write \"$line\" $instead.");
    }

    private static function origin(string $address): string
    {
        $parts = parse_url($address);
        $port = isset($parts['port']) ? ":{$parts['port']}" : '';

        return ($parts['scheme'] ?? 'https').'://'.($parts['host'] ?? '').$port;
    }
}
