<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use DOMElement;
use Gnomic\Dress\Page\BrowserSheet;
use Gnomic\Dress\Page\PageStyles;

/** Writes down what each token of a proposal rests on. */
final class Notes
{
    /** Longhands of what is spoken of as one. */
    private const NAMES = [
        'border-radius' => ['border-top-left-radius'],
        'padding' => ['padding-left'],
        'border-bottom-width' => ['border-bottom-width', 'border-bottom-style'],
        'background-color' => ['background-color', 'background-image'],
    ];

    /** @var list<Evidence> */
    private array $evidence = [];

    public function __construct(private readonly PageStyles $styles, private readonly UsedBy $used)
    {
    }

    /** @return list<Evidence> in the order of writing */
    public function all(): array
    {
        return $this->evidence;
    }

    /** @param  string  $property  that it was read from @param  string  $what  was read, in words */
    public function read(string $token, string|int $value, DOMElement $of, string $property, string $what): void
    {
        $names = self::NAMES[$property] ?? [$property];
        $winner = null;
        $isSure = true;
        for ($at = $of; $at instanceof DOMElement; $at = $at->parentNode) {
            $isSure = $isSure && array_intersect($names, $this->styles->computed($at)->unsure) === [];
            $found = array_values(array_intersect_key($this->styles->computed($at)->winners, array_flip($names)))[0] ?? null;
            // What is inherited was decided further up.
            $isPassedOn = $found === null ? ! isset(BrowserSheet::of($at)[$property]) : strtolower($found->value) === 'inherit';
            if (! $isPassedOn || ! isset(BrowserSheet::INHERITED[$property])) {
                $winner = $found;
                break;
            }
        }
        $said = $winner === null ? 'no style sheet sets it; browser default' : $this->used->told($winner);
        $said .= $isSure ? '' : '; a rule that was not understood may change it';
        $this->evidence[] = new Evidence($token, $value, $what, $said, $isSure);
    }

    /** @param  string  $how  in words */
    public function derived(string $token, string $value, string $how): void
    {
        $this->evidence[] = new Evidence($token, $value, $how, 'not set on the page; derived', false);
    }
}
