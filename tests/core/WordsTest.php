<?php

declare(strict_types=1);

namespace Tests\core;

use PhpParser\Node\InterpolatedStringPart;
use PhpParser\Node\Scalar\String_;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What docs/words.md says that we do not write is nowhere written: in what PHP says, in the studio, in the docs. */
final class WordsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    public function test_what_php_says(): void
    {
        foreach (['core', 'app'] as $folder) {
            foreach (SyntaxTree::files($folder) as $file) {
                $tree = SyntaxTree::of((string) file_get_contents($file->getPathname()));
                $said = [
                    ...array_map(fn (String_ $one): string => $one->value, $tree->all(String_::class)),
                    ...array_map(fn (InterpolatedStringPart $one): string => $one->value, $tree->all(InterpolatedStringPart::class)),
                ];
                self::assertSame([], self::found(implode("\n", $said)), $file->getPathname());
            }
        }
    }

    public function test_what_the_studio_says(): void
    {
        foreach (Finder::create()->files()->in(self::ROOT.'/resources/studio')->name('*.svelte') as $file) {
            // Words of a text may stand on two lines.
            self::assertSame([], self::found((string) preg_replace('/\s+/', ' ', $file->getContents())), $file->getPathname());
        }
    }

    public function test_what_the_docs_say(): void
    {
        foreach (Finder::create()->files()->in(self::ROOT.'/docs')->name('*.md')->notName('words.md') as $file) {
            self::assertSame([], self::found((string) preg_replace('/\s+/', ' ', $file->getContents())), $file->getPathname());
        }
    }

    public function test_a_phrase_that_is_written_is_found(): void
    {
        self::assertNotSame([], self::found('The page cannot be had.'));
        self::assertGreaterThan(20, count(self::phrases()));
    }

    /** @return list<string> phrases that are in a text, in whatever case */
    private static function found(string $text): array
    {
        $lower = mb_strtolower($text);

        return array_values(array_filter(self::phrases(), fn (string $phrase): bool => str_contains($lower, $phrase)));
    }

    /** @return list<string> in lower case */
    private static function phrases(): array
    {
        /** @var list<string>|null $phrases */
        static $phrases = null;
        if ($phrases === null) {
            $table = strstr((string) file_get_contents(self::ROOT.'/docs/words.md'), '## What we do not write');
            preg_match_all('/^\| (?!not |---)([^|]+?) \|/m', $table === false ? '' : $table, $rows);
            $phrases = array_map(mb_strtolower(...), $rows[1]);
        }

        return $phrases;
    }
}
