<?php

declare(strict_types=1);

namespace Tests\core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What docs/architecture.md says of folders and lines. */
final class ArchitectureTest extends TestCase
{
    private const LONGEST_LINE = 139;

    /** Tables of data, a language a line. */
    private const DATA = ['TrigramProfiles.php'];

    /** @return iterable<string, array{string, string}> a folder, and the namespace of it */
    public static function parts(): iterable
    {
        yield 'core' => ['core', 'Gnomic'];
        yield 'app' => ['app', 'App'];
    }

    /** Wherever one folder uses another, directly or by way of others, that one knows nothing of it. */
    #[DataProvider('parts')]
    public function test_folders_use_each_other_one_way_only(string $part, string $namespace): void
    {
        $uses = [];
        $folder = dirname(__DIR__, 2)."/$part/";
        foreach (SyntaxTree::files($part) as $file) {
            $from = explode('/', substr($file->getPathname(), strlen($folder)))[0];
            foreach (array_keys(SyntaxTree::of((string) file_get_contents($file->getPathname()))->classes()) as $class) {
                [$root, $to] = [...explode('\\', $class), '', ''];
                if ($root === $namespace && $to !== $from) {
                    $uses[$from][$to] = $file->getFilename();
                }
            }
        }
        $left = array_unique([...array_keys($uses), ...array_merge([], ...array_map(array_keys(...), array_values($uses)))]);
        while ($left !== []) {
            $free = array_filter($left, fn (string $folder): bool => array_intersect(array_keys($uses[$folder] ?? []), $left) === []);
            self::assertNotSame([], $free, 'These use each other in a circle, or stand on one: '.implode(', ', array_map(
                fn (string $folder): string => "$folder (".implode(', ', array_intersect_key($uses[$folder] ?? [], array_flip($left))).')',
                $left)));
            $left = array_diff($left, $free);
        }
    }

    public function test_lines_can_be_read_without_scrolling(): void
    {
        $long = [];
        foreach (['core', 'app', 'config', 'database', 'routes', 'bin'] as $folder) {
            foreach (SyntaxTree::files($folder) as $file) {
                foreach (explode("\n", (string) file_get_contents($file->getPathname())) as $index => $line) {
                    if (mb_strlen($line) > self::LONGEST_LINE && ! in_array($file->getFilename(), self::DATA, true)) {
                        $long[] = "{$file->getPathname()}:".($index + 1);
                    }
                }
            }
        }
        self::assertSame([], $long);
    }
}
