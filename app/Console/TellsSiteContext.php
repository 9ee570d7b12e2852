<?php

declare(strict_types=1);

namespace App\Console;

use DateTimeImmutable;
use DateTimeZone;
use Exception;
use Gnomic\Json\Value;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Echoed;
use InvalidArgumentException;

/** What a site knows beside its brief, as options of a command. */
trait TellsSiteContext
{
    /** The options, for a signature. */
    private const SITE = '
        {--day= : The day that "the last 30 days" and daily orders go by; today, if not given}
        {--zone=UTC : The time zone of the site}
        {--language= : Language of the page around the widget}
        {--page= : Path of the page around the widget}
        {--visit=1 : Which of the orders made ahead}
        {--never= : A file of words never to show, one a line}
        {--channel=* : SOURCE=CHANNEL, where a source is not its own channel}
        {--reopened=* : SUBJECT=DAY on which it reopened}
        {--shown-by=* : WIDGET=ID of an entry that another widget shows}';

    private function siteContext(): SiteContext
    {
        try {
            $zone = new DateTimeZone($this->chosen('zone'));
        } catch (Exception) {
            throw new InvalidArgumentException('--zone is the name of a time zone, such as Europe/London.');
        }
        $never = $this->option('never');
        $visit = $this->chosen('visit');
        $shownBy = [];
        foreach ($this->pairs('shown-by') as [$widget, $id]) {
            $shownBy[$widget][] = $id;
        }

        return new SiteContext(
            now: $this->option('day') === null
                ? now()->toDateTimeImmutable()->setTimezone($zone)
                : self::day($this->chosen('day'), $zone, '--day'),
            channels: array_column($this->pairs('channel'), 1, 0),
            reopened: array_map(
                fn (string $day): int => self::day($day, $zone, '--reopened')->getTimestamp(),
                array_column($this->pairs('reopened'), 1, 0),
            ),
            never: is_string($never)
                ? array_values(array_filter(
                    array_map(trim(...), explode("\n", Inputs::contents($never))),
                    fn (string $word): bool => $word !== '',
                ))
                : [],
            shownBy: $shownBy,
            language: is_string($this->option('language')) ? $this->option('language') : null,
            page: is_string($this->option('page')) ? $this->option('page') : null,
            visit: preg_match('/^[1-9]\d{0,3}$/', $visit) === 1
                ? (int) $visit
                : throw new InvalidArgumentException('--visit is a number from 1.'),
        );
    }

    /** @return list<array{string, string}> */
    private function pairs(string $option): array
    {
        $pairs = [];
        foreach (Value::texts((array) $this->option($option)) as $pair) {
            $parts = explode('=', $pair, 2);
            $pairs[] = count($parts) === 2 && $parts[0] !== ''
                ? [$parts[0], $parts[1]]
                : throw new InvalidArgumentException("--$option wants two things with = between them, not ".Echoed::quoted($pair).'.');
        }

        return $pairs;
    }

    private static function day(string $day, DateTimeZone $zone, string $option): DateTimeImmutable
    {
        $read = DateTimeImmutable::createFromFormat('!Y-m-d', $day, $zone);

        return $read !== false && $read->format('Y-m-d') === $day
            ? $read
            : throw new InvalidArgumentException("$option wants a day such as 2026-11-30, not ".Echoed::quoted($day).'.');
    }
}
