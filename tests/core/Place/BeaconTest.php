<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Count\Beacon;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What browsers send is anybody's word. */
final class BeaconTest extends TestCase
{
    public function test_a_beacon_is_read(): void
    {
        $beacon = Beacon::read('1795767087.219 h=Quillmoor.example%3A8082&p=%2Fvisit%2Fgr%C3%BCn&d=dome4visit.1152.1.2.3.4.5.1.~00ff00ff.1.2.3&d=quill7mark.0.1.0.0.0.0.0.hidden');
        self::assertNotNull($beacon);
        self::assertSame([1795767087, 'quillmoor.example:8082', '/visit/grün'], [$beacon->at, $beacon->host, $beacon->path]);
        [$dome, $badge] = $beacon->told;
        self::assertSame(['dome4visit', 1152, null], [$dome->key, $dome->width, $dome->fault]);
        self::assertSame(['shown' => 1, 'views' => 1, 'openings' => 3, 'reads' => 4, 'clicks' => 5, 'engaged' => 1], $dome->counts->toArray());
        self::assertSame(['00ff00ff' => [1, 2, 3]], $dome->entries);
        self::assertSame(['quill7mark', 0, 'hidden'], [$badge->key, $badge->width, $badge->fault]);
        self::assertSame(7, $dome->counts->plus($dome->counts)->shown + $dome->counts->plus($badge->counts)->clicks);
    }

    #[DataProvider('none')]
    public function test_what_is_none_is_none(string $line): void
    {
        self::assertNull(Beacon::read($line));
    }

    /** @return iterable<string, array{string}> */
    public static function none(): iterable
    {
        $told = 'd=dome4visit.1152.1.2.3.4.5.1.';
        yield 'nothing' => [''];
        yield 'a dash' => ['1795767087.219 -'];
        yield 'no time' => ["h=a.example&p=/&$told"];
        yield 'no host' => ["1795767087.219 p=/&$told"];
        yield 'no path' => ["1795767087.219 h=a.example&$told"];
        yield 'a path that is none' => ["1795767087.219 h=a.example&p=javascript:x&$told"];
        yield 'a path with a line in it' => ["1795767087.219 h=a.example&p=/%0Ax&$told"];
        yield 'a path of broken signs' => ["1795767087.219 h=a.example&p=/%FF&$told"];
        yield 'a host with words' => ["1795767087.219 h=a+b&p=/&$told"];
        yield 'nothing told' => ['1795767087.219 h=a.example&p=/'];
        yield 'numbers below nothing' => ['1795767087.219 h=a.example&p=/&d=dome4visit.1152.-1.2.3.4.5.1.'];
        yield 'numbers beyond all bounds' => ['1795767087.219 h=a.example&p=/&d=dome4visit.1152.99999.2.3.4.5.1.'];
        yield 'a key that is none' => ['1795767087.219 h=a.example&p=/&d=../../etc.1152.1.2.3.4.5.1.'];
        yield 'a line of 1 MB' => ['1795767087.219 h=a.example&p=/&d='.str_repeat('x', 1_000_000)];
    }

    public function test_numbers_and_lists_are_bounded(): void
    {
        $one = 'd=dome4visit.1152.9999.9999.0.0.0.0.'.str_repeat('~abcd1234.9999.0.0', 100);
        $beacon = Beacon::read("1795767087.219 h=a.example&p=/&$one&".implode('&', array_fill(0, 100, 'd=dome4visit.1.1.0.0.0.0.0.')));
        self::assertNotNull($beacon);
        $many = implode('&', array_map(fn (int $n): string => "d=key0$n.1.1.0.0.0.0.0.", range(10, 99)));
        self::assertCount(40, Beacon::read("1795767087.219 h=a.example&p=/&$many")->told ?? []);
        self::assertSame(1, $beacon->told[0]->counts->views);
        self::assertSame(['abcd1234' => [40, 0, 0]], $beacon->told[0]->entries);
        self::assertCount(1, $beacon->told, 'a widget of a page is told of once');
    }
}
