<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/**
 * A place by chance: a polynomial of the third degree over a prime field, its coefficients drawn from the seed (Carter and
 * Wegman, Universal classes of hash functions, 1979), of the 31 bits that stand for an entry. The same in PHP and in SQL;
 * any four entries fall independently of each other.
 */
final readonly class ShuffleKey
{
    public const PRIME = 2_147_483_647;

    /** @param  array{int, int, int, int}  $factors */
    private function __construct(private array $factors)
    {
    }

    public static function drawnFrom(string $seed): self
    {
        $draw = fn (int $part): int => (int) hexdec(substr(hash('sha256', $seed), 8 * $part, 8)) % (self::PRIME - 1) + 1;

        return new self([$draw(0), $draw(1), $draw(2), $draw(3)]);
    }

    /** @param  int  $key  of Facts::shuffleKey() */
    public function place(int $key): int
    {
        [$a, $b, $c, $d] = $this->factors;

        return ((($a * $key + $b) % self::PRIME * $key + $c) % self::PRIME * $key + $d) % self::PRIME;
    }

    /**
     * Of many, those whose place is below another: without a call for each.
     *
     * @param  list<int>  $keys  of Facts::shuffleKey()
     * @return array<int, int> places, by the index of the key
     */
    public function below(array $keys, int $below): array
    {
        [$a, $b, $c, $d] = $this->factors;
        $found = [];
        foreach ($keys as $index => $key) {
            $at = ((($a * $key + $b) % self::PRIME * $key + $c) % self::PRIME * $key + $d) % self::PRIME;
            if ($at < $below) {
                $found[$index] = $at;
            }
        }

        return $found;
    }

    public function sql(): string
    {
        [$a, $b, $c, $d] = $this->factors;
        $prime = self::PRIME;

        return "((($a * shuffle_key + $b) % $prime * shuffle_key + $c) % $prime * shuffle_key + $d) % $prime";
    }
}
