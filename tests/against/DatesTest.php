<?php

declare(strict_types=1);

namespace Tests\against;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Dates\DateReader;
use Gnomic\Entry\EntryJson;
use Gnomic\Tend\RetryAfter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The examples that the standards of dates give themselves. */
final class DatesTest extends TestCase
{
    #[DataProvider('dates')]
    public function test_a_date_is_read(string $written, string $read): void
    {
        self::assertSame($read, EntryJson::date(DateReader::read($written)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function dates(): iterable
    {
        $cases = [
            // RFC 3339 §5.8
            ['1985-04-12T23:20:50.52Z', '1985-04-12T23:20:50.52Z'], ['1996-12-19T16:39:57-08:00', '1996-12-19T16:39:57-08:00'],
            ['1990-12-31T23:59:60Z', '1990-12-31T23:59:59Z'],
            ['1990-12-31T15:59:60-08:00', '1990-12-31T15:59:59-08:00'],
            ['1937-01-01T12:00:27.87+00:20', '1937-01-01T12:00:27.87+00:20'],
            // RFC 9110 §5.6.7: IMF-fixdate, RFC 850, asctime
            ['Sun, 06 Nov 1994 08:49:37 GMT', '1994-11-06T08:49:37Z'],
            ['Sunday, 06-Nov-94 08:49:37 GMT', '1994-11-06T08:49:37Z'],
            ['Sun Nov  6 08:49:37 1994', '1994-11-06T08:49:37Z'],
            // RFC 2822, appendix A
            ['Fri, 21 Nov 1997 09:55:06 -0600', '1997-11-21T09:55:06-06:00'],
            ['Tue, 1 Jul 2003 10:52:37 +0200', '2003-07-01T10:52:37+02:00'],
            ['Thu, 13 Feb 1969 23:32:54 -0330', '1969-02-13T23:32:54-03:30'],
            ['21 Nov 97 09:55:06 GMT', '1997-11-21T09:55:06Z'],
            ['Thu, 13 Feb 1969 23:32 -0330 (Newfoundland Time)', '1969-02-13T23:32:00-03:30'],
            // RSS 2.0 specification, pubDate and lastBuildDate
            ['Sat, 07 Sep 2002 00:00:01 GMT', '2002-09-07T00:00:01Z'], ['Sat, 07 Sep 2002 09:42:31 GMT', '2002-09-07T09:42:31Z'],
            // RFC 4287 §3.3
            ['2003-12-13T18:30:02Z', '2003-12-13T18:30:02Z'], ['2003-12-13T18:30:02.25+01:00', '2003-12-13T18:30:02.25+01:00'],
            // W3C note on date and time formats
            ['1997', '1997-01-01T00:00:00Z'],
            ['1997-07', '1997-07-01T00:00:00Z'],
            ['1997-07-16', '1997-07-16T00:00:00Z'],
            ['1997-07-16T19:20+01:00', '1997-07-16T19:20:00+01:00'],
            // RFC 822's zones
            ['Wed, 02 Oct 2002 08:00:00 EST', '2002-10-02T08:00:00-05:00'],
            ['Wed, 02 Oct 2002 08:00:00 PDT', '2002-10-02T08:00:00-07:00'],
            ['Wed, 02 Oct 02 08:00 Z', '2002-10-02T08:00:00Z'],
            // common practice: what feeds write against the rules
            ['2004-01-01 19:48:21', '2004-01-01T19:48:21Z'],
            ['2004/01/01 19:48', '2004-01-01T19:48:00Z'],
            ['20040101T194821Z', '2004-01-01T19:48:21Z'],
            ['Thurs, 1 January 2004 19:48:21 +0000', '2004-01-01T19:48:21Z'],
            ['Mon, 01 Jan 2004 19:48:21 GMT', '2004-01-01T19:48:21Z'],
            ['1 Sept 2004', '2004-09-01T00:00:00Z'],
            ['January 5, 2004 3:04 pm', '2004-01-05T15:04:00Z'],
            ['Jan 5, 2004 12:04 AM', '2004-01-05T00:04:00Z'],
            ['Thu, 01 Jan 2004 24:00:00 GMT', '2004-01-02T00:00:00Z'],
            ['Thu, 01 Jan 2004 19:48:21 +01:00', '2004-01-01T19:48:21+01:00'],
            ['Thu, 01 Jan 2004 19:48:21 GMT+2', '2004-01-01T19:48:21+02:00'],
            ['1072986501', '2004-01-01T19:48:21Z'],
            ['1072986501000', '2004-01-01T19:48:21Z'],
            ['5. März 2004', '2004-03-05T00:00:00Z'],
            ['14 juillet 2004 10:00', '2004-07-14T10:00:00Z'],
            ['2004-01-01T19:48:21 XYZ', '2004-01-01T19:48:21Z'],
        ];
        foreach ($cases as $case) {
            yield $case[0] => $case;
        }
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_no_date(string $written): void
    {
        self::assertNull(DateReader::read($written));
    }

    /** @return iterable<array{string}> */
    public static function nonsense(): iterable
    {
        foreach ([
            '',
            'yesterday',
            '2004-02-30',
            '2004-13-01',
            '31 Feb 2004',
            '2004-01-01T25:00:00Z',
            'Thu, 01 Foo 2004 00:00:00 GMT',
            '99',
            'now',
            '+1 day',
            '12:30',
            '2004-01-01T10:61:00Z',
        ] as $written) {
            yield [$written];
        }
    }

    public function test_a_date_without_a_zone_takes_the_assumed_one(): void
    {
        self::assertSame(
            '2004-07-01T12:00:00+01:00',
            EntryJson::date(DateReader::read('2004-07-01 12:00', new DateTimeZone('Europe/London'))),
        );
    }

    /** RFC 9110 §10.2.3: "Retry-After: Fri, 31 Dec 1999 23:59:59 GMT" and "Retry-After: 120". */
    public function test_retry_after(): void
    {
        $now = new DateTimeImmutable('1999-12-31T23:57:59Z');
        self::assertSame(120, RetryAfter::seconds('120', $now));
        self::assertSame(120, RetryAfter::seconds('Fri, 31 Dec 1999 23:59:59 GMT', $now));
        self::assertSame(0, RetryAfter::seconds('Fri, 31 Dec 1999 23:00:00 GMT', $now));
        self::assertNull(RetryAfter::seconds('soon', $now));
        self::assertNull(RetryAfter::seconds(null, $now));
        self::assertNull(RetryAfter::seconds('-5', $now));
    }
}
