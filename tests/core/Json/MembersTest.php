<?php

declare(strict_types=1);

namespace Tests\core\Json;

use Closure;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MembersTest extends TestCase
{
    public function test_members_come_in_their_types(): void
    {
        $members = Members::of(['s' => 'x', 'n' => 1.5, 'i' => 2, 'b' => true, 'l' => ['a', 'b'], 'o' => ['k' => 'v'], 'null' => null]);
        self::assertSame(
            ['x', 1.5, 2.0, 2, true, ['a', 'b'], 'v'],
            [
                $members->string('s'),
                $members->numberOrNull('n'),
                $members->numberOrNull('i'),
                $members->intOrNull('i'),
                $members->boolOr('b', false),
                $members->strings('l'),
                $members->object('o')->string('k'),
            ],
        );
        self::assertSame(
            [null, null, null, [], false, '2'],
            [
                $members->stringOrNull('null'),
                $members->intOrNull('none'),
                $members->objectOrNull('none'),
                $members->list('none'),
                $members->has('null'),
                $members->textOrNull('i'),
            ],
        );
        self::assertSame([], $members->object('none')->names());
    }

    /** @param  Closure(Members): mixed  $read */
    #[DataProvider('wrong')]
    public function test_another_type_is_told_with_its_place(Closure $read, string $message): void
    {
        $this->expectExceptionObject(new \Exception);
        try {
            $read(Members::of(
                ['s' => 1, 'n' => 'x', 'i' => 1.5, 'b' => 'true', 'l' => ['a' => 1], 'l2' => ['a', 2], 'o' => ['x'], 'a/b~c' => 5],
                '/root',
            ));
        } catch (MemberIsWrong $wrong) {
            self::assertSame($message, $wrong->getMessage());
            throw new \Exception;
        }
    }

    /** @return iterable<array{Closure(Members): mixed, string}> */
    public static function wrong(): iterable
    {
        yield [fn (Members $m) => $m->string('s'), '/root/s must be a string, but is 1.'];
        yield [fn (Members $m) => $m->string('none'), '/root/none must be a string, but is missing.'];
        yield [fn (Members $m) => $m->numberOrNull('n'), '/root/n must be a number, but is the text "x".'];
        yield [fn (Members $m) => $m->intOrNull('i'), '/root/i must be a whole number, but is 1.5.'];
        yield [fn (Members $m) => $m->boolOr('b', true), '/root/b must be true or false, but is the text "true".'];
        yield [fn (Members $m) => $m->list('l'), '/root/l must be a list, but is an object.'];
        yield [fn (Members $m) => $m->strings('l2'), '/root/l2/1 must be a string, but is 2.'];
        yield [fn (Members $m) => $m->objectOrNull('o'), '/root/o must be an object, but is a list.'];
        yield [fn (Members $m) => $m->string('a/b~c'), '/root/a~1b~0c must be a string, but is 5.'];
    }
}
