<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Palette;

/** Colours with what is behind them, looked at once. */
final readonly class Scene
{
    /** @param  array{ground: Backdrop, surface: Backdrop, button: Backdrop}  $behind */
    private function __construct(public Palette $palette, private array $behind)
    {
    }

    public static function of(Palette $palette): self
    {
        return self::on($palette, Backdrop::ground($palette));
    }

    /** With other colours for ground and cards: the ground is looked at again where it is another. */
    public function over(Palette $palette): self
    {
        [$is, $was] = [$palette->colours, $this->palette->colours];
        $isSame = $is['ground'] === $was['ground'] && $is['groundTo'] === $was['groundTo'];

        return self::on($palette, $isSame ? $this->behind['ground'] : Backdrop::ground($palette));
    }

    private static function on(Palette $palette, Backdrop $ground): self
    {
        return new self($palette, [
            'ground' => $ground,
            'surface' => $palette->hasCards() ? Backdrop::surface($palette) : $ground,
            'button' => $palette->colour('button') === null ? $ground : Backdrop::plain($palette->sure('button')),
        ]);
    }

    /** The same with one colour changed of those that lie over. */
    public function with(string $token, string $hex): self
    {
        return new self($this->palette->with([$token => $hex]), $this->behind);
    }

    /** @return list<string> tokens that lie over others and have a colour of their own */
    public function tokens(): array
    {
        return array_values(array_filter(Palette::over(), fn (string $token): bool => $this->palette->colours[$token] !== null));
    }

    public function backdrop(Pair $pair): Backdrop
    {
        return $this->behind[$pair->on];
    }

    public function colour(Pair $pair): Colour
    {
        return $pair->token === 'buttonInk' ? $this->palette->buttonInk() : $this->palette->sure($pair->token);
    }

    public function contrast(Pair $pair): float
    {
        return $this->backdrop($pair)->contrastWith($this->colour($pair));
    }

    /** @return list<Pair> those that a token gives the colour to */
    public function pairs(string $token): array
    {
        return array_values(array_filter(
            Pair::all(),
            fn (Pair $pair): bool => $this->palette->speaker($pair->token) === $token,
        ));
    }

    /**
     * @param  'ground'|'surface'|null  $on  null: wherever it stands
     * @return list<array{Backdrop, float}> what is behind a token, and the contrast that it needs there
     */
    public function wanted(string $token, ?string $on = null): array
    {
        $pairs = array_filter($this->pairs($token), fn (Pair $pair): bool => $on === null || $pair->on === $on);

        return array_map(fn (Pair $pair): array => [$this->behind[$pair->on], $pair->least], array_values($pairs));
    }

    public function isTold(string $token): bool
    {
        return Lightness::isTold($this->palette->sure($token), $this->wanted($token));
    }

    /** @return list<string> tokens that cannot be distinguished from what is behind them somewhere */
    public function failing(): array
    {
        return array_values(array_filter($this->tokens(), fn (string $token): bool => ! $this->isTold($token)));
    }

    /** @param  list<string>  $tokens  whether each has a lightness that would do, on cards and beside them by itself if need be */
    public function isMendable(array $tokens): bool
    {
        foreach ($tokens as $token) {
            if (! Lightness::isMendable($this->wanted($token)) && ! $this->isMendableApart($token)) {
                return false;
            }
        }

        return true;
    }

    /** The token that says on cards what another says elsewhere, where it may have a colour of its own; null where it may not. */
    public function onCards(string $token): ?string
    {
        $own = 'card'.ucfirst($token);

        return $this->palette->hasCards() && isset(Palette::ELSE[$own]) && $this->palette->colours[$own] === null ? $own : null;
    }

    private function isMendableApart(string $token): bool
    {
        return $this->onCards($token) !== null
            && Lightness::isMendable($this->wanted($token, 'ground')) && Lightness::isMendable($this->wanted($token, 'surface'));
    }
}
