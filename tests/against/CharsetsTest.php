<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Text\Charset;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Encodings by their names: the TextDecoder of Node, which follows the WHATWG's Encoding standard. */
final class CharsetsTest extends TestCase
{
    private const LABELS = [
        'iso-8859-1', 'latin1', 'ascii', 'windows-1250', 'cp1250', 'windows-1251', 'cp1251', 'windows-1252', 'windows-1253', 'windows-1254',
        'iso-8859-9', 'windows-1255', 'windows-1256', 'windows-1257', 'windows-1258', 'iso-8859-2', 'iso-8859-5', 'iso-8859-7', 'iso-8859-15',
        'koi8-r', 'koi8-u', 'windows-874', 'tis-620', 'macintosh', 'x-mac-cyrillic',
    ];

    public function test_every_byte_of_every_encoding_of_one_byte(): void
    {
        $script = 'const told = {}; for (const label of JSON.parse(process.argv[1])) { const decoder = new TextDecoder(label); '
            .'told[label] = Array.from({ length: 128 }, (_, at) => decoder.decode(Uint8Array.of(128 + at))); } '
            .'console.log(JSON.stringify(told))';
        $process = new Process(['node', '-e', $script, json_encode(self::LABELS, JSON_THROW_ON_ERROR)]);
        $process->mustRun();
        $compared = 0;
        foreach (json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR) as $label => $characters) {
            foreach ($characters as $at => $character) {
                // What is not assigned is a control there and a mark of it here.
                if (preg_match('/^[\x{80}-\x{9F}\x{FFFD}\x{F8FF}]$/u', $character) === 1) {
                    continue;
                }
                $bytes = 'a'.chr(128 + $at);
                $decoded = Charset::decoded($bytes, $label);
                self::assertSame(["a$character", null], [$decoded->text, $decoded->problem], sprintf('%s %X', $label, 128 + $at));
                $compared++;
            }
        }
        self::assertGreaterThan(2_500, $compared);
    }
}
