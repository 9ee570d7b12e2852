<?php

declare(strict_types=1);

namespace Gnomic\Text;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Memo;
use InvalidArgumentException;
use LogicException;
use MessageFormatter;

/**
 * All that visitors read, in one language: messages in ICU MessageFormat, with plurals by CLDR, numbers and days as the language
 * writes them.
 */
final readonly class Catalogue
{
    /** Whole numbers up to this are spelled, where the language does so in running text. */
    private const SPELLED = 12;

    /** What is said at once, and is said again of the same entry on another page, or of others: more than a page has. */
    private const REMEMBERED = 2000;

    /** Stands for what is put in, and is in no text. */
    private const PLACE = "\u{E000}";

    private Formats $formats;

    private Memo $said;

    /**
     * @param  string  $language  BCP 47: the language it is asked by
     * @param  string  $locale  BCP 47, by which numbers and days are written
     * @param  array<string, string>  $messages  in ICU MessageFormat, by key
     * @param  bool  $spellsNumbers  whether small numbers stand as words
     * @param  list<string>  $also  further tags that mean it, by CLDR's likely subtags
     */
    public function __construct(
        public string $language,
        public string $locale,
        public string $name,
        private array $messages,
        private bool $spellsNumbers = false,
        public array $also = [],
    ) {
        $this->formats = new Formats($locale);
        $this->said = new Memo(self::REMEMBERED);
    }

    /**
     * @param  mixed  $json  {"language": …, "locale": …, "name": …, "spellsNumbers": …, "messages": {…}}
     *
     * @throws InvalidArgumentException where it is no catalogue, or a message is not in the form
     */
    public static function read(mixed $json): self
    {
        $text = fn (string $name): string => is_array($json) && is_string($json[$name] ?? null)
            ? $json[$name]
            : throw new InvalidArgumentException("A catalogue needs a text \"$name\".");
        $messages = [];
        foreach (is_array($json) && is_array($json['messages'] ?? null) ? $json['messages'] : [] as $key => $message) {
            if (! is_string($message) || MessageFormatter::create($text('locale'), $message) === null) {
                throw new InvalidArgumentException("The message \"$key\" of {$text('language')} is not in ICU MessageFormat.");
            }
            $messages[(string) $key] = $message;
        }

        return new self(
            $text('language'),
            $text('locale'),
            $text('name'),
            $messages,
            is_array($json) && ($json['spellsNumbers'] ?? false) === true,
            array_values(array_filter(is_array($json) && is_array($json['also'] ?? null) ? $json['also'] : [], is_string(...))),
        );
    }

    /**
     * @param  array<string, string|int|float>  $with  by the names that the message has
     *
     * @throws LogicException for a message that no catalogue has: a fault of ours
     */
    public function say(string $key, array $with = []): string
    {
        return $this->said->of(implode("\0", [$key, ...$with]), function () use ($key, $with): string {
            $said = isset($this->messages[$key]) ? $this->formats->message($this->messages[$key])->format($with) : false;

            return $said === false ? throw new LogicException("The catalogue of $this->language cannot say \"$key\".") : $said;
        });
    }

    /**
     * What stands before and behind something that is put into a message, which stands for itself between them.
     *
     * @param  string  $name  of what is put in
     * @param  array<string, string|int|float>  $with
     * @return array{string, string}
     */
    public function around(string $key, string $name, array $with = []): array
    {
        $parts = explode(self::PLACE, $this->say($key, [$name => self::PLACE] + $with), 2);

        return [$parts[0], $parts[1] ?? ''];
    }

    /** Its digits from 0 to 9, as the locale writes them: by CLDR's default numbering system. */
    public function digits(): string
    {
        return implode('', array_map(fn (int $digit): string => $this->number($digit), range(0, 9)));
    }

    /** "12 November 2026". */
    public function day(DateTimeImmutable $date, DateTimeZone $zone): string
    {
        return $this->date($date, $zone, null);
    }

    /** "November 2026". */
    public function month(DateTimeImmutable $date, DateTimeZone $zone): string
    {
        return $this->date($date, $zone, $this->formats->pattern('yMMMM'));
    }

    /** "4.6", with a comma where the language has one; no needless decimals unless so many are wanted. */
    public function number(int|float $number, int $decimals = 0, int $most = 2): string
    {
        $most = max($decimals, $most);

        return $this->said->of(
            "$number $decimals $most",
            fn (): string => (string) $this->formats->number($decimals, $most)->format($number),
        );
    }

    /** A number in running text: "four", "4.5", "13". */
    public function counted(int|float $number): string
    {
        $isSmall = (float) (int) $number === (float) $number && $number >= 0 && $number <= self::SPELLED;

        return $this->spellsNumbers && $isSmall
            ? (string) $this->formats->spelled()->format((int) $number)
            : $this->number($number);
    }

    /**
     * With other words for some messages; those for one language win over those for all, later ones over earlier ones. What is not in
     * the form, or for a message that there is not, changes nothing.
     *
     * @param  list<array{key: string, language: string|null, says: string}>  $words
     */
    public function instead(array $words): self
    {
        $messages = $this->messages;
        foreach (array_unique([null, Pieces::before($this->language, '-'), $this->language]) as $language) {
            foreach ($words as $one) {
                if ($one['language'] === $language && $this->wrong($one['key'], $one['says']) === null) {
                    $messages[$one['key']] = $one['says'];
                }
            }
        }

        return new self($this->language, $this->locale, $this->name, $messages, $this->spellsNumbers, $this->also);
    }

    /** Why words cannot stand for a message, in words; null where they can. */
    public function wrong(string $key, string $says): ?string
    {
        if (! isset($this->messages[$key])) {
            return "There is no text \"$key\".";
        }
        $formatter = MessageFormatter::create($this->locale, $says);
        if ($formatter === null) {
            return "\"$says\" is not in ICU MessageFormat; a brace that is meant stands in single quotation marks.";
        }
        $unknown = array_diff(self::arguments($says), self::arguments($this->messages[$key]));

        return $unknown === [] ? null : '"{'.reset($unknown)."}\" is not known in \"$key\".";
    }

    /** @return list<string> names of what a message is told */
    private static function arguments(string $message): array
    {
        preg_match_all('/\{\s*(\w+)\s*(?:,|\})/', (string) preg_replace("/'[{}][^']*'/", '', $message), $found);

        return array_values(array_unique($found[1]));
    }

    /** @return array<string, string> messages by key */
    public function messages(): array
    {
        return $this->messages;
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_keys($this->messages);
    }

    /** Another wherever a word is another. */
    public function digest(): string
    {
        return hash('xxh128', json_encode([$this->locale, $this->messages, $this->spellsNumbers], JSON_THROW_ON_ERROR));
    }

    private function date(DateTimeImmutable $date, DateTimeZone $zone, ?string $pattern): string
    {
        $at = $date->getTimestamp();

        return $this->said->of(
            "$at {$zone->getName()} $pattern",
            fn (): string => (string) $this->formats->date($zone, $pattern)->format($at),
        );
    }
}
