<?php

declare(strict_types=1);

namespace Tests\core\Place;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Pattern\PatternIsWrong;
use Gnomic\Place\Spot\Places;
use Gnomic\Place\Spot\Spot;
use Gnomic\Place\Spot\SpotRules;
use Gnomic\Place\Spot\SubjectDigest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Throwable;

/** Spots: what they say, where they are, which of them decides, and what is other on them. */
final class SpotTest extends TestCase
{
    /** @param  array<string, mixed>  $spot */
    #[DataProvider('phrases')]
    public function test_a_spot_reads_aloud(array $spot, string $phrase): void
    {
        self::assertSame($phrase, Places::phrase(Spot::read($spot)));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function phrases(): iterable
    {
        yield 'a page' => [['pages' => ['/visit']], '/visit'];
        yield 'the front page' => [['pages' => ['/']], 'the front page'];
        yield 'a part of the site' => [['pages' => ['/shop/*'], 'except' => ['/shop/basket']], 'every page of /shop except /shop/basket'];
        yield 'everywhere' => [['pages' => ['/*']], 'every page'];
        yield 'under something' => [
            ['pages' => ['/visit'], 'position' => 'after', 'selector' => '#hours', 'named' => 'the opening hours'],
            '/visit, under “the opening hours”',
        ];
        yield 'with days' => [['pages' => ['/'], 'from' => '2026-12-01', 'to' => '2026-12-31'], 'the front page, from 2026-12-01 to 2026-12-31'];
        yield 'by what pages say' => [['pages' => ['/shop/:item'], 'follows' => 'schema'], '/shop/:item, about what the page’s own data names'];
        yield 'an address as it was copied' => [['pages' => ['https://quillmoor.example/visit?x=1#top']], '/visit'];
    }

    public function test_several_spots_are_told_together(): void
    {
        $at = fn (string $page): Spot => Spot::read(['pages' => [$page]]);
        self::assertSame('', Places::spoken([]));
        self::assertSame('/a and every page of /b', Places::spoken([$at('/a'), $at('/b/*')]));
        $under = Spot::read(['pages' => ['/visit'], 'position' => 'after', 'selector' => '#hours', 'named' => 'the opening hours']);
        self::assertSame('/visit, under “the opening hours”, and every page of /shop', Places::spoken([$under, $at('/shop/*')]));
        self::assertSame('/a; /b; /c and two other spots', Places::spoken(array_map($at, ['/a', '/b', '/c', '/d', '/e'])));
    }

    /** @param  array<string, mixed>  $spot */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_told_with_its_place(array $spot, string $says): void
    {
        try {
            Spot::read($spot);
            self::fail('it was read');
        } catch (MemberIsWrong|PatternIsWrong $wrong) {
            self::assertStringContainsString($says, $wrong->getMessage());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no page' => [['pages' => []], '/pages'];
        yield 'no slash' => [['pages' => ['visit']], 'begins with a slash'];
        yield 'a selector beside a tag' => [['pages' => ['/'], 'selector' => '#x'], '/selector'];
        yield 'a side of nothing' => [['pages' => ['/'], 'position' => 'before'], 'choose the place'];
        yield 'days the wrong way round' => [['pages' => ['/'], 'from' => '2026-12-02', 'to' => '2026-12-01'], '/to'];
        yield 'a day that is none' => [['pages' => ['/'], 'from' => '2026-02-30'], '/from'];
        yield 'a thousand stars' => [['pages' => ['/'.str_repeat('*', 1_000)]], '1 to 400 characters'];
        yield 'three hundred stars' => [['pages' => ['/'.str_repeat('a*', 150)]], 'stars and groups'];
        yield 'a brace' => [['pages' => ['/shop/{a']], 'character 9'];
        yield 'a member that is none' => [['pages' => ['/'], 'colour' => 'red'], 'colour'];
        yield 'another layout that is none' => [['pages' => ['/'], 'overrides' => ['layout' => 'spiral']], '/overrides/layout'];
    }

    public function test_no_pattern_takes_long(): void
    {
        $path = '/'.str_repeat('ab', 4_000);
        $before = hrtime(true);
        foreach (['/'.str_repeat('*a', 9).'*c', '/:a(a+)+b', '/(.*)(.*)(.*)(.*)(.*)(.*)c', '/((?:a|ab|b)*)c', '/:a*/:b*/c'] as $pattern) {
            self::assertFalse(PathPattern::of($pattern)->matches($path));
        }
        // A bound of the engine and no assertion of speed: without it, these would take years.
        self::assertLessThan(20e9, hrtime(true) - $before);
    }

    public function test_the_most_particular_decides_for_each_place(): void
    {
        $spot = fn (string $page, array $more = []): array => ['spot' => Spot::read(['pages' => [$page]] + $more), 'widget' => 'w'];
        $foot = ['position' => 'before', 'selector' => 'footer'];
        $rules = new SpotRules([
            'all' => $spot('/*'), 'shop' => $spot('/shop/*'), 'item' => $spot('/shop/:item'), 'basket' => $spot('/shop/basket'),
            'foot' => $spot('/*', $foot), 'advent' => $spot('/*', $foot + ['from' => '2026-12-01']),
            'but' => $spot('/about', ['except' => ['/ab*']]),
        ]);
        self::assertSame(['basket', 'advent'], $rules->on('/shop/basket'));
        self::assertSame(['item', 'advent'], $rules->on('/shop/lamp'));
        self::assertSame(['shop', 'advent'], $rules->on('/shop/lamp/red'));
        self::assertSame(['all', 'advent'], $rules->on('/about'));
        self::assertSame([], $rules->collisions());
        self::assertSame(['basket', 'shop'], array_values(array_intersect(array_column($rules->ordered(), 'key'), ['basket', 'shop'])));
    }

    public function test_two_that_collide_are_told_and_the_earlier_decides(): void
    {
        $at = fn (array $spot): array => ['spot' => Spot::read($spot), 'widget' => 'w'];
        $rules = new SpotRules([
            'one' => $at(['pages' => ['/a', '/b']]),
            'two' => $at(['pages' => ['/b']]),
            'winter' => $at(['pages' => ['/c'], 'from' => '2026-12-01', 'to' => '2026-12-31']),
            'spring' => $at(['pages' => ['/c'], 'from' => '2027-03-01']),
        ]);
        self::assertSame([['one', 'two']], $rules->collisions(), 'days that do not meet are in nobody’s way');
        self::assertSame(['one'], $rules->on('/b'));
    }

    public function test_two_thousand_rules_are_ordered_and_asked(): void
    {
        $spots = [];
        for ($number = 0; $number < SpotRules::MOST; $number++) {
            $spots["s$number"] = ['spot' => Spot::read(['pages' => ["/part-$number/*"], 'position' => 'after', 'selector' => 'h1']), 'widget' => 'w'];
        }
        $rules = new SpotRules($spots);
        self::assertCount(SpotRules::MOST, $rules->ordered());
        self::assertSame([], $rules->collisions());
        self::assertSame(['s1999'], $rules->on('/part-1999/x'));
    }

    public function test_days_are_those_of_the_site(): void
    {
        $spot = Spot::read(['pages' => ['/'], 'from' => '2026-12-01', 'to' => '2026-12-24']);
        $at = fn (string $time): bool => $spot->isDue(new DateTimeImmutable($time), new DateTimeZone('Pacific/Auckland'));
        self::assertSame([false, true, true, false], array_map($at, [
            '2026-11-30T10:59:59Z', '2026-11-30T11:00:00Z', '2026-12-24T10:59:59Z', '2026-12-24T11:00:00Z',
        ]));
        [$from, $to] = $spot->span(new DateTimeZone('Pacific/Auckland'));
        self::assertSame(['2026-11-30T11:00:00Z', '2026-12-24T11:00:00Z'], [gmdate('Y-m-d\TH:i:s\Z', (int) $from), gmdate('Y-m-d\TH:i:s\Z', (int) $to)]);
    }

    public function test_overrides_change_what_they_name_and_nothing_else(): void
    {
        $brief = Brief::usual();
        $spot = Spot::read(['pages' => ['/'], 'overrides' => ['subject' => 'the-dome', 'labels' => ['kept'], 'language' => 'de', 'most' => 3,
            'look' => 'night-ink', 'layout' => 'list']]);
        $other = $spot->overrides->on($brief)->toArray();
        self::assertSame(['the-dome'], $other['gather']['subjects']);
        self::assertSame(['de'], $other['sift']['languages']['only']);
        self::assertSame(['kept'], $other['sift']['labels']['any']);
        self::assertSame(3, $other['sift']['limit']);
        self::assertSame('list', $other['shape']['layout']['name']);
        self::assertSame('night-ink', $other['dress']['name']);
        self::assertSame(['about the Dome', 'labelled kept', 'in German', 'three entries', 'List', 'in Night ink'],
            $spot->overrides->phrases(['the-dome' => 'the Dome'], ['night-ink' => 'Night ink']));
        self::assertSame($brief->toArray(), Spot::read(['pages' => ['/']])->overrides->on($brief)->toArray());
        self::assertTrue($spot->isOther());
        self::assertFalse(Spot::read(['pages' => ['/']])->isOther());
        foreach (['stars' => 'none', 'search' => 'search'] as $by => $here) {
            $chosen = $brief->with(shape: $brief->shape->with(['choosing' => ['by' => $by]]));
            self::assertSame($here, $spot->overrides->on($chosen)->shape->choosing->by, 'no choices made ahead of a part');
            self::assertSame($by, Spot::read(['pages' => ['/']])->overrides->on($chosen)->shape->choosing->by);
        }
        self::assertEquals($spot->toArray(), Spot::read($spot->toArray())->toArray(), 'written and read again, it is the same');
    }

    public function test_nothing_that_is_given_is_a_fault_of_ours(): void
    {
        foreach ([null, 1, 'x', [], ['pages' => 1], ['pages' => [null]], ['pages' => ['/'], 'overrides' => 1], ['pages' => ["/\xFF"]]] as $given) {
            try {
                Spot::read($given);
            } catch (Throwable $wrong) {
                self::assertTrue($wrong instanceof MemberIsWrong || $wrong instanceof PatternIsWrong, $wrong::class);
            }
        }
        self::assertSame(SubjectDigest::of('The Dome'), SubjectDigest::of("  the\n dome "));
        // FNV-1a of 64 bits of "foobar", by the test vectors of its authors (isthe.com/chongo/tech/comp/fnv, from memory).
        self::assertSame('85944171f73967e8', SubjectDigest::of('foobar'));
    }
}
