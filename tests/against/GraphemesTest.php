<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Shape\Shortening;
use PHPUnit\Framework\TestCase;

/** UAX #29: the test file of Unicode through the shortening, which never cuts within a cluster. */
final class GraphemesTest extends TestCase
{
    private const FILE = '/usr/share/unicode/auxiliary/GraphemeBreakTest.txt';

    public function test_no_cluster_of_the_test_file_is_cut(): void
    {
        self::assertFileExists(self::FILE, 'Of Debian\'s unicode-data, which ./gnomic setup installs.');
        $lines = (array) file(self::FILE, FILE_IGNORE_NEW_LINES);
        $tried = 0;
        foreach ($lines as $line) {
            $rule = trim(explode('#', (string) $line)[0]);
            if ($rule === '') {
                continue;
            }
            $clusters = [];
            foreach (preg_split('/\s*÷\s*/u', $rule, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $cluster) {
                $clusters[] = implode('', array_map(fn (string $point): string => mb_chr((int) hexdec($point)), preg_split('/\s*×\s*/u', $cluster) ?: []));
            }
            // What a text may not have in it comes to no shortening: controls, and halves of pairs.
            if (preg_match('/[\x00-\x1F\x7F-\x9F\x{2028}\x{2029}\s]|^$/u', implode('', $clusters)) !== 0) {
                continue;
            }
            $tried++;
            // So often that there is something to cut, with a letter between that parts one turn from the next.
            $turn = [...$clusters, 'x'];
            $text = implode('', $turn);
            $short = Shortening::to(30, str_repeat($text, 60));
            self::assertTrue($short->isShortened);
            $whole = [];
            for ($again = 0; $again < 60; $again++) {
                array_push($whole, ...$turn);
            }
            $edges = [''];
            foreach ($whole as $cluster) {
                $edges[] = $edges[count($edges) - 1].$cluster;
            }
            $trimmed = array_map(fn (string $edge): string => (string) preg_replace('/[\s\p{Pd}\p{Ps},;:]+$/u', '', $edge), $edges);
            self::assertContains($short->text, $trimmed, $rule);
        }
        self::assertGreaterThan(200, $tried);
    }
}
