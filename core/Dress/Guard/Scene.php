<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Palette;

/** Colours with what is behind them, looked at once. */
final readonly class Scene
{
    /** @var array{ground: Backdrop, surface: Backdrop} */
    private array $behind;

    public function __construct(public Palette $palette)
    {
        $this->behind = ['ground' => Backdrop::ground($palette), 'surface' => Backdrop::surface($palette)];
    }

    /** The same with one colour changed of those that lie over. */
    public function with(string $token, string $hex): self
    {
        return new self($this->palette->with([$token => $hex]));
    }

    public function backdrop(Pair $pair): Backdrop
    {
        return $this->behind[$pair->on];
    }

    public function contrast(Pair $pair): float
    {
        return $this->backdrop($pair)->contrastWith($this->palette->sure($pair->token));
    }

    /** @return list<array{Backdrop, float}> what is behind a token, and the contrast that it needs there */
    public function wanted(string $token): array
    {
        $wanted = [];
        foreach (Pair::all() as $pair) {
            if ($pair->token === $token) {
                $wanted[] = [$this->behind[$pair->on], $pair->least];
            }
        }

        return $wanted;
    }

    public function isTold(string $token): bool
    {
        return Lightness::isTold($this->palette->sure($token), $this->wanted($token));
    }

    /** @return list<string> tokens that cannot be distinguished from what is behind them somewhere */
    public function failing(): array
    {
        return array_values(array_filter(Palette::OVER, fn (string $token): bool => ! $this->isTold($token)));
    }

    /** @param  list<string>  $tokens  whether each has a lightness that would do */
    public function isMendable(array $tokens): bool
    {
        foreach ($tokens as $token) {
            if (! Lightness::isMendable($this->wanted($token))) {
                return false;
            }
        }

        return true;
    }
}
