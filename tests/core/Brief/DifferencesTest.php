<?php

declare(strict_types=1);

namespace Tests\core\Brief;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Brief\Differences;
use Gnomic\Brief\SentenceContext;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Nothing of a brief changes without a word. */
final class DifferencesTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function changes(): iterable
    {
        $four = ['sift' => ['stars' => ['from' => 4]]];
        $carousel = fn (array $settings): array => ['shape' => ['layout' => ['name' => 'carousel'] + $settings]];
        yield 'nothing' => [$four, $four, []];
        yield 'a clause' => [$four, ['sift' => ['stars' => ['from' => 3]]], ['"four stars and up" became "three stars and up"']];
        yield 'a clause more' => [[], $four, ['"four stars and up" was added']];
        yield 'a clause less' => [$four, [], ['"four stars and up" was removed']];
        yield 'another layout' => [[], ['shape' => ['layout' => ['name' => 'list']]], ['"Three across in a grid" became "In a list"']];
        yield 'how a layout is moved' => [$carousel([]), $carousel(['controls' => ['dots']]), ['the settings of the layout changed']];
        yield 'what is told of figures' => [
            [],
            ['shape' => ['head' => ['overall']]],
            ['"with the overall figures above" became "with the overall rating above"'],
        ];
        yield 'where the head stands' => [
            [],
            ['shape' => ['headAt' => 'left']],
            ['"with the overall figures above" became "with the overall figures at the left"'],
        ];
        yield 'an account beside them' => [
            [],
            ['shape' => ['head' => ['account', 'overall', 'count', 'spread']]],
            ['"with the overall figures above" became "with the account, the overall figures and their spread above"'],
        ];
        yield 'parts that no phrase speaks of' => [
            [],
            ['shape' => ['card' => ['words'], 'more' => 'pages']],
            ['what cards show and how visitors get more changed'],
        ];
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @param  list<string>  $told
     */
    #[DataProvider('changes')]
    public function test_what_changed_is_said(array $before, array $after, array $told): void
    {
        $read = fn (array $brief): Brief => BriefReader::read(['version' => 4] + $brief);
        self::assertSame($told, Differences::between($read($before), $read($after), new SentenceContext));
    }

    public function test_every_member_of_a_shape_is_spoken_of(): void
    {
        $others = [
            'layout' => ['name' => 'carousel', 'by' => 'card'], 'composition' => 'face', 'heights' => 'level', 'shorten' => 40, 'lines' => 2, 'card' => ['name'], 'names' => 'short',
            'rating' => 'words', 'date' => 'month', 'picture' => 'wide', 'head' => ['count'], 'headAt' => 'left', 'title' => 'What visitors say', 'heading' => 'Said',
            'line' => 'A line', 'actions' => [['does' => 'all']], 'click' => 'source', 'address' => 'https://quillmoor.example/',
            'addresses' => [['id' => 'e1', 'url' => 'https://quillmoor.example/']], 'newTab' => false, 'rel' => 'noopener',
            'more' => 'button', 'choosing' => ['by' => 'stars'], 'marked' => ['Saturn'], 'frame' => ['gap' => 4], 'at' => ['phone' => ['lines' => 1]], 'empty' => 'Nothing yet', 'markup' => true,
            'honest' => false,
        ];
        $usual = BriefReader::read(['version' => 4]);
        self::assertSame(array_keys($usual->shape->toArray()), array_keys(array_intersect_key($usual->shape->toArray(), $others)));
        foreach ($others as $member => $value) {
            $other = $usual->with(shape: $usual->shape->with([$member => $value]));
            self::assertNotSame([], Differences::between($usual, $other, new SentenceContext), $member);
        }
    }

    public function test_what_is_said_alike_is_a_difference_too_and_equal_briefs_have_none(): void
    {
        $pinned = fn (string $id): Brief => BriefReader::read(['version' => 4, 'sift' => ['pins' => [$id]]]);
        self::assertSame(['details changed'], Differences::between($pinned('a:1'), $pinned('a:2'), new SentenceContext));
        self::assertSame([], Differences::between($pinned('a:1'), $pinned('a:1'), new SentenceContext));
    }
}
