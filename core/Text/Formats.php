<?php

declare(strict_types=1);

namespace Gnomic\Text;

use DateTimeZone;
use IntlDateFormatter;
use IntlDatePatternGenerator;
use MessageFormatter;
use NumberFormatter;

/**
 * The formats of one locale, each made once: making one takes ICU many times what using it takes, and a page has hundreds of days and
 * ratings on it.
 *
 * @internal to Catalogue
 */
final class Formats
{
    /** @var array<string, MessageFormatter> by message */
    private array $messages = [];

    /** @var array<string, IntlDateFormatter> by zone and pattern */
    private array $dates = [];

    /** @var array<string, string> by skeleton */
    private array $patterns = [];

    /** @var array<string, NumberFormatter> by style and decimals */
    private array $numbers = [];

    /** @param  string  $locale  BCP 47 */
    public function __construct(private readonly string $locale)
    {
    }

    /** @param  string  $message  in ICU MessageFormat */
    public function message(string $message): MessageFormatter
    {
        return $this->messages[$message] ??= new MessageFormatter($this->locale, $message);
    }

    /** @param  string|null  $pattern  of ICU; null for a day as the locale writes it at length */
    public function date(DateTimeZone $zone, ?string $pattern): IntlDateFormatter
    {
        return $this->dates["{$zone->getName()} $pattern"] ??= new IntlDateFormatter(
            $this->locale,
            IntlDateFormatter::LONG,
            IntlDateFormatter::NONE,
            $zone,
            // As the country counts its years.
            IntlDateFormatter::TRADITIONAL,
            $pattern,
        );
    }

    /** @param  string  $skeleton  what of a date is wanted, of ICU @return string the pattern by which the locale writes that */
    public function pattern(string $skeleton): string
    {
        return $this->patterns[$skeleton] ??= (string) (new IntlDatePatternGenerator($this->locale))->getBestPattern($skeleton);
    }

    public function number(int $least, int $most): NumberFormatter
    {
        return $this->numbers["$least $most"] ??= $this->decimal($least, $most);
    }

    public function spelled(): NumberFormatter
    {
        return $this->numbers['spelled'] ??= new NumberFormatter($this->locale, NumberFormatter::SPELLOUT);
    }

    private function decimal(int $least, int $most): NumberFormatter
    {
        $format = new NumberFormatter($this->locale, NumberFormatter::DECIMAL);
        $format->setAttribute(NumberFormatter::MIN_FRACTION_DIGITS, $least);
        $format->setAttribute(NumberFormatter::MAX_FRACTION_DIGITS, $most);
        $format->setAttribute(NumberFormatter::ROUNDING_MODE, NumberFormatter::ROUND_HALFUP);

        return $format;
    }
}
