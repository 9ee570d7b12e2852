<?php

declare(strict_types=1);

namespace Gnomic\Gather\Likeness;

/**
 * Signatures by which resemblance is estimated without comparing texts (Broder 1997): the share of equal places is the
 * resemblance, within a standard error of 1/sqrt(SIZE). Sixteen bands of four places find those alike by half and more
 * (Leskovec, Rajaraman, Ullman, Mining of Massive Datasets, ch. 3: the threshold is near (1/16)^(1/4) = 0.5).
 */
final class MinHash
{
    public const SIZE = 64;

    /** Places of a band; sixteen bands. */
    private const ROWS = 4;

    /** Places are numbers of 32 bits: under an odd factor, every hash has one of its own. */
    private const PLACES = 0xFFFFFFFF;

    /** @var list<array{int, int}>|null factors and offsets */
    private static ?array $functions = null;

    /**
     * @param  list<int>  $shingles  hashes of 32 bits
     * @return list<int> SIZE places; empty for no shingles
     */
    public static function signature(array $shingles): array
    {
        if ($shingles === []) {
            return [];
        }
        $signature = [];
        foreach (self::functions() as [$factor, $offset]) {
            $least = PHP_INT_MAX;
            foreach ($shingles as $hash) {
                $place = ($factor * $hash + $offset) & self::PLACES;
                if ($place < $least) {
                    $least = $place;
                }
            }
            $signature[] = $least;
        }

        return $signature;
    }

    /**
     * @param  list<int>  $one
     * @param  list<int>  $other
     */
    public static function resemblance(array $one, array $other): float
    {
        $equal = 0;
        foreach ($one as $place => $hash) {
            $equal += $hash === ($other[$place] ?? null) ? 1 : 0;
        }

        return $one === [] ? 0.0 : $equal / count($one);
    }

    /**
     * Where to look for those alike: two entries that share one of these are worth comparing.
     *
     * @param  list<int>  $signature
     * @return list<int> 63 bits each, different for each band
     */
    public static function bands(array $signature): array
    {
        $bands = [];
        foreach ($signature === [] ? [] : array_chunk($signature, self::ROWS) as $number => $places) {
            $bands[] = crc32(pack('CV*', $number, ...$places)) << 31 | ($places[0] ^ $places[3]) & 0x7FFFFFFF;
        }

        return $bands;
    }

    /** @return list<array{int, int}> */
    private static function functions(): array
    {
        if (self::$functions === null) {
            self::$functions = [];
            // Fixed, so that signatures stay comparable: a linear congruence of 31 bits (factor 16807, modulus 2^31 - 1).
            $state = 20_261_125;
            $next = function () use (&$state): int {
                return $state = $state * 16_807 % 2_147_483_647;
            };
            for ($number = 0; $number < self::SIZE; $number++) {
                self::$functions[] = [$next() >> 1 | 1, $next()];
            }
        }

        return self::$functions;
    }
}
