<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use Gnomic\Sift\Clauses;
use Gnomic\Sift\Topic;
use PHPUnit\Framework\TestCase;

/** Controls that are made by hand change what they say that they change; all else is derived from the schemas of the clauses. */
final class TopicsTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../../resources/studio/clauses/topics';

    /** Topics of the bench that are no clause's. */
    private const OTHERS = ['cadence', 'dress', 'head', 'layout', 'place'];

    public function test_no_control_is_left_over(): void
    {
        $topics = array_map(fn (Topic $topic): string => $topic->key, Clauses::topics());
        $made = array_map(fn (string $file): string => basename($file, '.svelte'), glob(self::FOLDER.'/*.svelte') ?: []);
        self::assertSame([], array_values(array_diff($made, $topics, self::OTHERS)));
    }

    public function test_what_controls_say_that_they_change_is_of_their_topic_and_is_in_them(): void
    {
        foreach (glob(self::FOLDER.'/*.svelte') ?: [] as $file) {
            $source = (string) file_get_contents($file);
            $declared = preg_match('/export const members = \[([^\]]*)\]/', $source, $list) === 1 ? $list[1] : '';
            preg_match_all('/\'([^\']+)\'/', $declared, $members);
            $code = str_replace($declared, '', $source);
            foreach ($members[1] as $pointer) {
                self::assertArrayHasKey($pointer, Clauses::membersOf(basename($file, '.svelte')), basename($file));
                self::assertMatchesRegularExpression('/\b'.basename($pointer).'\b/', $code, basename($file)." changes $pointer");
            }
        }
    }

    /** Every member of a brief that a clause asks is changed by the controls of its topic, and of no other. */
    public function test_no_member_is_forgotten(): void
    {
        $changed = array_merge(...array_map(
            fn (Topic $topic): array => array_keys(Clauses::membersOf($topic->key)),
            Clauses::topics(),
        ));
        self::assertEqualsCanonicalizing(array_keys(Clauses::members()), $changed);
    }
}
