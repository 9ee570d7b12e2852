<?php

declare(strict_types=1);

namespace Tests\against;

use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Parts\DatePart;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\core\Planned;

/** Unicode CLDR, by the copy that Node.js ships (Intl): the days shown are its long form of British English, in the site's zone. */
final class ShownDatesTest extends TestCase
{
    use Planned;

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
            $plan = self::planned(BriefReader::read(['version' => 1]), $entries, zone: $zone);
            self::assertSame($expected[$index], array_map(fn (Card $card): ?string => $card->part(DatePart::class)?->text, $plan->cards));
        }
    }
}
