<?php

declare(strict_types=1);

namespace Tests\against;

use App\Bench\Grounds\LoadPage;
use App\Fetching\Fetcher;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Page\Viewport;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Computed styles against Chromium's own getComputedStyle(), on pages of very different make. */
final class PageStylesTest extends TestCase
{
    private const SELECTORS = ['body', 'h2', 'p a', 'button', '.card', '#c1', '#c2', '#c3', '#c4', '#c5', '#c6', '#c7', '#c8', '#c9', '#c10',
        '#c11', '#c12', '#c13', '#c14', '#c15', '#c16', '#c17', '#c18'];

    /** How pages are seen: how wide, and whether dark. */
    private const VIEWS = [[1280, false], [1280, true], [420, false]];

    /** Of all values that are compared. */
    private const RIGHT = 0.99;

    /** @return list<array<string, array<string, array<string, mixed>|null>>> by view and path */
    private static function reference(): array
    {
        $process = new Process(['node', __DIR__.'/computed.mjs', (string) json_encode(self::VIEWS), (string) json_encode(self::SELECTORS),
            ...self::pages()], dirname(__DIR__, 2), timeout: 240);
        $process->mustRun();

        return json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return list<string> */
    private static function pages(): array
    {
        return glob(__DIR__.'/pages/*.html') ?: [];
    }

    public function test_what_is_computed_is_what_a_browser_computes(): void
    {
        self::assertGreaterThanOrEqual(12, count(self::pages()));
        $wrong = [];
        $all = 0;
        foreach (self::reference() as $view => $seen) {
            [$width, $isDark] = self::VIEWS[$view];
            foreach ($seen as $path => $elements) {
                $own = (new LoadPage(app(Fetcher::class)))->file($path)->computed(new Viewport($width, 800, $isDark), self::SELECTORS);
                foreach ($elements as $selector => $wanted) {
                    foreach ($wanted ?? [] as $property => $value) {
                        $is = $own[$selector][$property] ?? null;
                        $all++;
                        if (! self::isSame($property, $value, (string) $is)) {
                            $wrong[] = basename($path)." $width".($isDark ? ' dark' : '')." $selector $property: $is instead of ".json_encode($value);
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(1000, $all);
        self::assertLessThan(1 - self::RIGHT, count($wrong) / $all, count($wrong)." of $all:\n".implode("\n", $wrong));
        if (getenv('GNOMIC_TELL') !== false) {
            fwrite(STDERR, count($wrong)." of $all:\n".implode("\n", $wrong)."\n");
        }
    }

    private static function isSame(string $property, mixed $wanted, string $is): bool
    {
        if (is_array($wanted)) {
            $colour = Colour::tryHex($is);
            $bytes = $colour === null ? [] : [$colour->red * 255, $colour->green * 255, $colour->blue * 255];
            $alpha = ($colour->alpha ?? 0.0) * 255;

            // What lets all through has no colour.
            return abs($alpha - $wanted[3]) < 2.6 && ($wanted[3] === 0 || max([0.0, ...array_map(fn (float $one, int $two): float => abs($one - $two), $bytes, array_slice($wanted, 0, 3))]) < 3.1);
        }
        if ($property === 'font-family') {
            $bare = fn (string $family): string => strtolower((string) preg_replace('/["\'\s]+/', ' ', str_replace(', ', ',', $family)));

            return trim($bare((string) $wanted)) === trim($bare($is));
        }
        [$one, $two] = [(float) $wanted, (float) $is];

        // However round a corner is written that is quite round.
        return abs($one - $two) < 0.06 || ($property === 'border-top-left-radius' && (($one > 400 && $two > 400) || str_contains((string) $wanted, '%')));
    }
}
