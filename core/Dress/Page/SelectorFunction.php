<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use DOMElement;
use Gnomic\Dress\Css\CssValues;
use Gnomic\Entry\Html;
use Symfony\Component\CssSelector\Node\Specificity;

/** A pseudo-class with something in its brackets (Selectors 4): "is", "where", "not", "has", "dir", and "nth-child" among some. */
final readonly class SelectorFunction
{
    /** Elements within one that "has" looks at. */
    private const LOOKED_AT = 400;

    /**
     * @param  string  $kind  its name
     * @param  list<PageSelector>  $of  what stands in its brackets
     * @param  string  $argument  of those that take no selectors; of counting, the series
     */
    private function __construct(
        private string $kind,
        private array $of,
        private string $argument,
        public Specificity $specificity,
    ) {
    }

    /**
     * @param  string  $name  in small letters
     * @return self|null null where it is none of those that are answered here
     */
    public static function of(string $name, string $argument): ?self
    {
        $argument = trim($argument);
        $none = new Specificity(0, 0, 0);
        $isCounted = in_array($name, ['nth-child', 'nth-last-child'], true);
        if ($isCounted) {
            [$series, $among] = CssValues::parted((string) preg_replace('/\s+of\s+/i', ' | ', $argument, 1), '|');
            $of = PageSelector::all((string) $among);

            return $among === null ? null : new self($name, $of, $series, self::most($of)->plus(new Specificity(0, 1, 0)));
        }

        return match ($name) {
            'is', 'matches', '-webkit-any', '-moz-any' => new self('is', $of = PageSelector::all($argument), '', self::most($of)),
            'where' => new self('is', PageSelector::all($argument), '', $none),
            'not' => new self('not', $of = PageSelector::all($argument), '', self::most($of)),
            'has' => new self('has', $of = self::relative($argument), '', self::most($of)),
            'dir' => new self('dir', [], strtolower($argument), new Specificity(0, 1, 0)),
            // Of trees of their own, which a page's sheets do not reach.
            'host', 'host-context', 'slotted', 'state', '-webkit-scrollbar', 'current', 'active-view-transition-type' => new self(
                'never',
                [],
                '',
                $none,
            ),
            default => null,
        };
    }

    /** @param  DOMElement|null  $scope  what ":scope" stands for; null: the root */
    public function matches(DOMElement $element, ?DOMElement $scope): bool
    {
        return match ($this->kind) {
            'is' => $this->isAny($element, $scope),
            'not' => ! $this->isAny($element, $scope),
            'has' => $this->has($element, $scope),
            'dir' => self::direction($element) === $this->argument,
            'nth-child', 'nth-last-child' => $this->isAny($element, $scope)
                && ElementStates::isInSeries($this->argument, $this->place($element, $scope)),
            default => false,
        };
    }

    private function isAny(DOMElement $element, ?DOMElement $scope): bool
    {
        foreach ($this->of as $one) {
            if ($one->holds($element, $scope)) {
                return true;
            }
        }

        return false;
    }

    /** From 1, among those that the brackets speak of. */
    private function place(DOMElement $element, ?DOMElement $scope): int
    {
        $isFromEnd = $this->kind === 'nth-last-child';
        $place = 1;
        $other = $element;
        for ($step = 0; $step < self::LOOKED_AT && $other !== null; $step++) {
            $other = $isFromEnd ? $other->nextElementSibling : $other->previousElementSibling;
            $place += (int) ($other !== null && $this->isAny($other, $scope));
        }

        return $place;
    }

    private function has(DOMElement $element, ?DOMElement $scope): bool
    {
        $left = self::LOOKED_AT;
        foreach ($this->of as $one) {
            foreach ($one->looksAside ? self::following($element) : [$element] as $in) {
                foreach ($in->isSameNode($element) ? [] : [$in] as $self) {
                    if ($one->holds($self, $scope, $element)) {
                        return true;
                    }
                }
                foreach (Html::elements($in, '*') as $within) {
                    if ($left-- <= 0) {
                        return false;
                    }
                    if (! $within->isSameNode($in) && $one->holds($within, $scope, $element)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @return iterable<DOMElement> siblings behind it */
    private static function following(DOMElement $element): iterable
    {
        for ($next = $element->nextElementSibling; $next !== null; $next = $next->nextElementSibling) {
            yield $next;
        }
    }

    private static function direction(DOMElement $element): string
    {
        for ($at = $element; $at instanceof DOMElement; $at = $at->parentNode) {
            $said = strtolower($at->getAttribute('dir'));
            if ($said === 'ltr' || $said === 'rtl') {
                return $said;
            }
        }

        return 'ltr';
    }

    /** @return list<PageSelector> of selectors that begin at an element */
    private static function relative(string $list): array
    {
        $all = [];
        foreach (CssValues::listed($list) as $one) {
            $isCombined = $one !== '' && in_array($one[0], ['>', '+', '~'], true);
            array_push($all, ...PageSelector::all(':'.PageSelector::ANCHOR.($isCombined ? '' : ' ').$one));
        }

        return $all;
    }

    /** @param  list<PageSelector>  $of */
    private static function most(array $of): Specificity
    {
        $most = new Specificity(0, 0, 0);
        foreach ($of as $one) {
            $most = $one->specificity->compareTo($most) > 0 ? $one->specificity : $most;
        }

        return $most;
    }
}
