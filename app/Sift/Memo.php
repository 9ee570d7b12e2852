<?php

declare(strict_types=1);

namespace App\Sift;

/**
 * What is found when it is first asked for.
 *
 * @template T
 */
final class Memo
{
    /** @var list<T> one, once it is found */
    private array $found = [];

    /**
     * @param  callable(): T  $find
     * @return T
     */
    public function of(callable $find): mixed
    {
        $this->found = $this->found === [] ? [$find()] : $this->found;

        return $this->found[0];
    }
}
