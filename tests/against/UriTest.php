<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Text\Address;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** RFC 3986 §5.4: reference resolution examples, from memory of the text's two lists. */
final class UriTest extends TestCase
{
    #[DataProvider('examples')]
    public function test_references_resolve(string $reference, string $target): void
    {
        self::assertSame($target, Address::resolved($reference, 'http://a/b/c/d;p?q'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function examples(): iterable
    {
        foreach (['g:h' => 'g:h', 'g' => 'http://a/b/c/g', './g' => 'http://a/b/c/g', 'g/' => 'http://a/b/c/g/', '/g' => 'http://a/g', '//g' => 'http://g', '?y' => 'http://a/b/c/d;p?y',
            'g?y' => 'http://a/b/c/g?y',
            '#s' => 'http://a/b/c/d;p?q#s',
            'g#s' => 'http://a/b/c/g#s',
            'g?y#s' => 'http://a/b/c/g?y#s',
            ';x' => 'http://a/b/c/;x',
            'g;x' => 'http://a/b/c/g;x',
            'g;x?y#s' => 'http://a/b/c/g;x?y#s',
            '' => 'http://a/b/c/d;p?q',
            '.' => 'http://a/b/c/',
            './' => 'http://a/b/c/',
            '..' => 'http://a/b/',
            '../' => 'http://a/b/',
            '../g' => 'http://a/b/g',
            '../..' => 'http://a/',
            '../../' => 'http://a/',
            '../../g' => 'http://a/g',
            '../../../g' => 'http://a/g',
            '../../../../g' => 'http://a/g',
            '/./g' => 'http://a/g',
            '/../g' => 'http://a/g',
            'g.' => 'http://a/b/c/g.',
            '.g' => 'http://a/b/c/.g',
            'g..' => 'http://a/b/c/g..',
            '..g' => 'http://a/b/c/..g',
            './../g' => 'http://a/b/g',
            './g/.' => 'http://a/b/c/g/',
            'g/./h' => 'http://a/b/c/g/h',
            'g/../h' => 'http://a/b/c/h',
            'g;x=1/./y' => 'http://a/b/c/g;x=1/y',
            'g;x=1/../y' => 'http://a/b/c/y',
            'g?y/./x' => 'http://a/b/c/g?y/./x',
            'g#s/../x' => 'http://a/b/c/g#s/../x'] as $reference => $target) {
            yield "\"$reference\"" => [(string) $reference, $target];
        }
    }
}
