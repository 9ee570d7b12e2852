<?php

declare(strict_types=1);

namespace Tests\against;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Standing\Overall;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\core\AtADay;
use Tests\core\InWords;

/** Unicode CLDR, by the copy that Node.js ships (Intl): the days shown are its long form of British English, in the site's zone. */
final class ShownDatesTest extends TestCase
{
    use AtADay;
    use InWords;

    public function test_days_are_shown_as_cldr_has_them(): void
    {
        $zones = ['UTC', 'Europe/London', 'America/Los_Angeles', 'Asia/Tokyo', 'Pacific/Auckland'];
        $instants = array_map(fn (int $step): int => 1_600_000_000 + $step * 4_999_999, range(0, 30));
        $script = 'const [zones, instants] = JSON.parse(process.argv[1]); console.log(JSON.stringify(zones.map((timeZone) => '
            .'instants.map((at) => new Intl.DateTimeFormat("en-GB", { dateStyle: "long", timeZone }).format(new Date(at * 1000))))))';
        $process = new Process(['node', '-e', $script, (string) json_encode([$zones, $instants])]);
        $process->mustRun();
        $expected = json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        $entries = array_map(fn (int $at): Entry => new Entry("$at", Kind::Review, published: new DateTimeImmutable("@$at")), $instants);
        foreach ($zones as $index => $zone) {
            $plan = Plan::of(
                BriefReader::read(['version' => 1]),
                self::on(),
                $entries,
                Overall::ofTally([]),
                [],
                new DateTimeZone($zone),
                self::words(),
            );
            self::assertSame($expected[$index], array_map(fn ($card) => $card->when, $plan->cards));
        }
    }
}
