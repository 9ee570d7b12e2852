<?php

declare(strict_types=1);

namespace Gnomic\Place\Policy;

use Gnomic\Text\Pieces;

/**
 * What a directive lets in. @internal
 */
final readonly class SourceList
{
    private const HASHES = ['sha256', 'sha384', 'sha512'];

    /**
     * @param  list<SourceExpression>  $sources
     * @param  list<string>  $nonces
     * @param  list<string>  $hashes  "sha256-…", with the signs of base64url turned into those of base64
     * @param  list<string>  $keywords  in small letters, without their quotation marks
     */
    private function __construct(private array $sources, private array $nonces, private array $hashes, private array $keywords)
    {
    }

    /** @param  list<string>  $words */
    public static function of(array $words): self
    {
        $sources = $nonces = $hashes = $keywords = [];
        foreach ($words as $word) {
            if (preg_match("~^'nonce-([A-Za-z0-9+/_-]+={0,2})'$~i", $word, $found) === 1) {
                $nonces[] = $found[1];
            } elseif (preg_match("~^'(sha256|sha384|sha512)-([A-Za-z0-9+/_-]+={0,2})'$~i", $word, $found) === 1) {
                $hashes[] = strtolower($found[1]).'-'.strtr($found[2], '-_', '+/');
            } elseif (preg_match("~^'([a-z0-9-]+)'$~i", $word, $found) === 1 && strtolower($found[1]) !== 'self') {
                $keywords[] = strtolower($found[1]);
            } elseif (($source = SourceExpression::of($word)) !== null) {
                $sources[] = $source;
            }
        }

        return new self($sources, $nonces, $hashes, $keywords);
    }

    public function lets(PolicyQuestion $wanted, string $page): bool
    {
        return match ($wanted->need) {
            Need::Script => $this->letsScript($wanted, $page),
            Need::Style, Need::StyleAttribute => $this->letsInline($wanted),
            default => $this->letsAddress((string) $wanted->address, $page),
        };
    }

    public function isStrict(): bool
    {
        return in_array('strict-dynamic', $this->keywords, true);
    }

    public function hasNonce(): bool
    {
        return $this->nonces !== [];
    }

    /** "Script directives pre-request check" (§6.7.1.1). */
    private function letsScript(PolicyQuestion $wanted, string $page): bool
    {
        if (in_array($wanted->nonce, $this->nonces, true) || $this->letsIntegrity($wanted->integrity)) {
            return true;
        }

        return $this->isStrict() ? ! $wanted->isParsed : $this->letsAddress((string) $wanted->address, $page);
    }

    /** Every digest that the element names has to be among those of the policy. */
    private function letsIntegrity(string $integrity): bool
    {
        $named = [];
        foreach (Pieces::of($integrity) as $one) {
            [$algorithm, $digest] = explode('-', (string) strtok($one, '?'), 2) + [1 => ''];
            if (in_array(strtolower($algorithm), self::HASHES, true) && $digest !== '') {
                $named[] = strtolower($algorithm).'-'.strtr($digest, '-_', '+/');
            }
        }

        return $named !== [] && array_diff($named, $this->hashes) === [];
    }

    /** "Does a source list allow all inline behavior" (§6.7.3.2); our own styles have no nonce, and hashes of none. */
    private function letsInline(PolicyQuestion $wanted): bool
    {
        if ($wanted->need === Need::Style && in_array($wanted->nonce, $this->nonces, true)) {
            return true;
        }

        return $this->nonces === [] && $this->hashes === [] && in_array('unsafe-inline', $this->keywords, true);
    }

    private function letsAddress(string $address, string $page): bool
    {
        foreach ($this->sources as $source) {
            if ($source->lets($address, $page)) {
                return true;
            }
        }

        return false;
    }
}
