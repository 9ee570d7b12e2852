<?php

declare(strict_types=1);

namespace Tests\core\Json;

use ArrayObject;
use Gnomic\Json\Value;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Scalars become what PHP's own casts make of them (PHP manual, "Type juggling"); anything else is empty, and never an error. */
final class ValueTest extends TestCase
{
    /** @return iterable<string, array{mixed}> */
    public static function scalars(): iterable
    {
        foreach (['', 'words', '12', '12abc', ' 7', '1e3', 0, 12, -3, 4.5, true, false] as $value) {
            yield var_export($value, true) => [$value];
        }
    }

    #[DataProvider('scalars')]
    public function test_scalars_are_cast_as_php_casts_them(string|int|float|bool $value): void
    {
        self::assertSame((string) $value, Value::text($value));
        self::assertSame((string) $value, Value::textOrNull($value));
        self::assertSame((int) $value, Value::whole($value));
        self::assertSame((float) $value, Value::number($value));
    }

    public function test_what_is_none_is_empty(): void
    {
        foreach ([null, [], ['a'], new ArrayObject, fopen('php://memory', 'r')] as $value) {
            self::assertSame(['', 0, 0.0], [Value::text($value), Value::whole($value), Value::number($value)]);
        }
        self::assertSame([null, null], [Value::textOrNull(null), Value::wholeOrNull(null)]);
        self::assertSame(['', 0], [Value::textOrNull([]), Value::wholeOrNull([])], 'something is there, but no scalar');
    }

    public function test_lists_and_members(): void
    {
        self::assertSame(['a', '1', ''], Value::texts(['x' => 'a', 'y' => 1, 'z' => false, 'none' => null, 'list' => ['b']]));
        self::assertSame([1, 2, 0], Value::wholes(['1', 2.9, []]));
        self::assertSame(['a' => '1', '0' => ''], Value::named(['a' => 1, 0 => null]));
        self::assertSame(['a' => 1, 'b' => [2]], Value::members((object) ['a' => 1, 'b' => [2]]));
        self::assertSame([], Value::members('text'));
        self::assertSame([[], []], [Value::list('text'), Value::list(null)]);
    }
}
