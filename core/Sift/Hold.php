<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Entry\Entry;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Text\Numbers;

/** Which new entries wait for the owner's decision, and show nowhere until then. They count in the figures all the same. */
final readonly class Hold
{
    /** Of the list of words. */
    private const MOST = 5000;

    private TermFinder $terms;

    /**
     * @param  float|null  $starsBelow  ratings below this many stars wait; null: none
     * @param  list<string>  $words  entries that say one of them wait
     * @param  bool  $links  entries with a link in their words wait
     * @param  bool  $newcomers  entries wait whose author has said nothing here before
     */
    public function __construct(
        public ?float $starsBelow = null,
        public array $words = [],
        public bool $links = false,
        public bool $newcomers = false,
    ) {
        $this->terms = TermFinder::of($words);
    }

    /** @throws MemberIsWrong */
    public static function read(mixed $json): self
    {
        $members = Members::of($json ?? []);
        $below = $members->numberOrNull('starsBelow');
        $words = $members->strings('words');
        if ($below !== null && ($below < 1.0 || $below > 5.0)) {
            throw MemberIsWrong::at($members->to('starsBelow'), 'between 1 and 5, or null', $below);
        }
        if (count($words) > self::MOST) {
            throw MemberIsWrong::at($members->to('words'), 'at most '.self::MOST.' long', $words);
        }

        return new self($below, $words, $members->boolOr('links', false), $members->boolOr('newcomers', false));
    }

    public function asksNothing(): bool
    {
        return $this->starsBelow === null && $this->terms->isEmpty() && ! $this->links && ! $this->newcomers;
    }

    /**
     * @param  bool  $isNewcomer  whether its author has said nothing here before
     * @param  Saying|null  $saying  its words, where they are made ready already
     * @return list<string> why it waits, each in a whole sentence's worth; none where it does not
     */
    public function reasons(Entry $entry, bool $isNewcomer, ?Saying $saying = null): array
    {
        $stars = $entry->stars();
        $said = $this->terms->isEmpty() ? null
            : $this->terms->first(($saying ?? new Saying($entry->title."\n".$entry->text))->line());

        return array_values(array_filter([
            $this->starsBelow !== null && $stars !== null && $stars < $this->starsBelow
                ? Numbers::plain($stars).(
                    $stars === 1.0
                        ? ' star'
                        : ' stars'
                ).', and you look at those below '.Numbers::spoken($this->starsBelow).' first.' : null,
            $said === null ? null : "It says \"$said\", which you want to look at first.",
            $this->links && self::hasLink($entry) ? 'It has a link in its words.' : null,
            $this->newcomers && $isNewcomer ? 'Its author has said nothing here before.' : null,
        ]));
    }

    /** @return array{starsBelow: float|null, words: list<string>, links: bool, newcomers: bool} */
    public function toArray(): array
    {
        return ['starsBelow' => $this->starsBelow, 'words' => $this->words, 'links' => $this->links, 'newcomers' => $this->newcomers];
    }

    private static function hasLink(Entry $entry): bool
    {
        return preg_match('~\b(?:https?://|www\.)\S~iu', $entry->title."\n".$entry->text) === 1
            || preg_match('~<a\s[^>]*href=~i', (string) $entry->html) === 1;
    }
}
