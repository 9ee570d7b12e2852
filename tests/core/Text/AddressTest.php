<?php

declare(strict_types=1);

namespace Tests\core\Text;

use Gnomic\Text\Address;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Hosts as browsers have them (URL Standard, "host parsing" and "special authority slashes"). */
final class AddressTest extends TestCase
{
    #[DataProvider('hosts')]
    public function test_a_host_is_told_where_all_read_the_same(string $address, ?string $host): void
    {
        self::assertSame($host, Address::plainHost($address));
    }

    /** @return iterable<array{string, string|null}> */
    public static function hosts(): iterable
    {
        yield ['https://Quillmoor.example/visit?x=1#y', 'quillmoor.example'];
        yield ['http://localhost:8080', 'localhost'];
        yield ['http://[::1]:8080/', '[::1]'];
        yield ['https://sternwärts.example/besuch', 'xn--sternwrts-02a.example'];
        yield ['https://xn--sternwrts-02a.example/', 'xn--sternwrts-02a.example'];
        yield ['https://quillmoor.example:123456/', null];
        yield ['https://quillmoor.example:/', null];
        yield ['https://a@quillmoor.example/', null];
        yield ['https://evil.example\\@quillmoor.example/', null];
        yield ['https://quillmoor.example/\\evil.example', null];
        yield ["https://quillmoor.example\t.evil.example/", null];
        yield ['javascript://quillmoor.example/', null];
        yield ['//quillmoor.example/', null];
        yield ['https:/quillmoor.example/', null];
    }
}
