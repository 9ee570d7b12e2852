<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\ColourVision;
use Gnomic\Dress\Palette;

/**
 * Looks at every pair of colours that has to be told apart, at the worst point of what is behind, and mends what fails by as little as
 * will do: the colour that lies over by its lightness; where none is light or dark enough, first what is behind, by as little. What
 * could be told stays as it was.
 */
final class Guard
{
    /** Halvings of the share by which what is behind is drawn together. */
    private const HALVINGS = 6;

    /** Of the contrast that is wanted, below which other eyes are spoken of. */
    private const SEEN = 0.8;

    /**
     * @param  'light'|'dark'  $scheme
     * @param  list<string>  $refused  tokens that stay as they are
     * @return array{Palette, list<ContrastFinding>} mended, and what was found
     */
    public static function mended(Palette $palette, string $scheme, array $refused = []): array
    {
        $refused = array_values(array_intersect(Palette::OVER, $refused));
        $before = new Scene($palette);
        $failing = $before->failing();
        if ($failing === []) {
            return [$palette, []];
        }
        [$scene, $findings] = self::behind($before, $scheme, array_values(array_diff($failing, $refused)), $failing);
        foreach ($failing as $token) {
            $isRefused = in_array($token, $refused, true);
            $colour = $isRefused || $scene->isTold($token) ? null : Lightness::mended(
                $scene->palette->sure($token),
                $scene->wanted($token),
            );
            $scene = $colour === null ? $scene : $scene->with($token, $colour->toHex());
            array_push($findings, ...self::found($before, $scene, $scheme, $token, $isRefused));
        }

        return [$scene->palette, $findings];
    }

    /** @return list<string> tokens that cannot be distinguished from what is behind them somewhere */
    public static function failing(Palette $palette): array
    {
        return (new Scene($palette))->failing();
    }

    /** @return list<array{text: string, pair: Pair}> pairs that eyes of another kind can hardly tell apart */
    public static function byOtherEyes(Palette $palette): array
    {
        $warnings = [];
        $scene = new Scene($palette);
        foreach (Pair::all() as $pair) {
            $behind = $scene->backdrop($pair);
            foreach (ColourVision::cases() as $eyes) {
                $seen = fn (Colour $colour): Colour => $eyes->seen($colour);
                $over = $seen($palette->sure($pair->token));
                $contrast = min($over->contrastWith($seen($behind->darkest)), $over->contrastWith($seen($behind->lightest)));
                if ($contrast < $pair->least * self::SEEN) {
                    $warnings[] = [
                        'text' => ucfirst($pair->what).' can hardly be told from what is behind them '.$eyes->spoken().'.',
                        'pair' => $pair,
                    ];
                }
            }
        }

        return $warnings;
    }

    /**
     * What is behind, changed by as little as gives every colour that fails a lightness, and takes none from those that do not.
     *
     * @param  'light'|'dark'  $scheme
     * @param  list<string>  $open  those that fail and may be changed
     * @param  list<string>  $failing
     * @return array{Scene, list<ContrastFinding>}
     */
    private static function behind(Scene $scene, string $scheme, array $open, array $failing): array
    {
        if ($scene->isMendable($open)) {
            return [$scene, []];
        }
        $palette = $scene->palette;
        $passing = array_values(array_diff(Palette::OVER, $failing));
        $isGood = function (Palette $tried) use ($open, $passing): bool {
            $tried = new Scene($tried);

            return $tried->isMendable($open)
                && array_filter($passing, fn (string $token): bool => ! $tried->isTold($token)) === [];
        };
        $best = null;
        foreach (self::ways($palette) as $way) {
            $share = self::least($way, $isGood, 1.0);
            if ($share === null) {
                continue;
            }
            // What lies over had better keep its side: light on dark stays light on dark.
            $cost = $share + self::moved($way($share), $open);
            if ($best === null || $cost < $best[0]) {
                $best = [$cost, $way($share)];
            }
        }
        $mended = $best[1] ?? $palette;
        $findings = [];
        foreach (['ground', 'groundTo', 'surface'] as $token) {
            if ($mended->colours[$token] !== $palette->colours[$token]) {
                $findings[] = new ContrastFinding(
                    $scheme,
                    $token,
                    'No colour stands out from everything behind it: '.(
                        $token === 'surface'
                            ? 'cards come closer to the background colour'
                            : 'the background becomes less transparent, or changes less'
                    ),
                    null,
                    null,
                    $palette->colours[$token],
                    $mended->colours[$token],
                    null,
                    false,
                );
            }
        }

        return [new Scene($mended), $findings];
    }

    /**
     * How far colours have to move then, in lightness, on average.
     *
     * @param  list<string>  $tokens
     */
    private static function moved(Palette $palette, array $tokens): float
    {
        $scene = new Scene($palette);
        $moved = 0.0;
        foreach ($tokens as $token) {
            $colour = $palette->sure($token);
            $moved += $scene->isTold($token) ? 0.0 : Lightness::about($colour, $scene->wanted($token));
        }

        return $moved / max(1, count($tokens));
    }

    /**
     * Ways in which what is behind is drawn together, by a share from 0 (as it was) to 1 (all one colour).
     *
     * @return list<callable(float): Palette>
     */
    private static function ways(Palette $palette): array
    {
        $ground = Backdrop::ground($palette);
        $surface = $palette->sure('surface');
        $ways = [];
        // To a colour that is there already, nothing loses what it had.
        foreach ([$ground->darkest, $ground->lightest] as $target) {
            $toGround = function (float $share, Palette $on) use ($palette, $target): Palette {
                $own = $palette->sure('ground');
                $end = $palette->colour('groundTo');
                $to = fn (Colour $from): string => self::towards($from, $target, $share);

                return $on->with(['ground' => $to($own), 'groundTo' => $end === null ? null : $to($end)]);
            };
            $toSurface = fn (float $share, Palette $on): Palette => $surface->alpha < 0.002 ? $on
                : $on->with(['surface' => self::towards($surface, $target, $share)]);
            $ways[] = fn (float $share): Palette => $toGround($share, $palette);
            $ways[] = fn (float $share): Palette => $toSurface($share, $palette);
            $ways[] = fn (float $share): Palette => $toSurface($share, $toGround($share, $palette));
        }

        return $ways;
    }

    /** Also what it lets through: at 1 nothing any more. */
    private static function towards(Colour $from, Colour $target, float $share): string
    {
        $alpha = $from->alpha + (1 - $from->alpha) * $share;
        // A colour that lets all through is none: what comes is the other alone.
        $own = $from->alpha < 0.002 ? $target : $target->mixed($from->withAlpha(1.0), $share);

        return $own->withAlpha($share >= 1.0 ? 1.0 : $alpha)->toHex();
    }

    /**
     * A share that is good, when a little less is not.
     *
     * @param  callable(float): Palette  $way
     * @param  callable(Palette): bool  $isGood
     * @param  float  $most  that another way needs: more is not looked at
     */
    private static function least(callable $way, callable $isGood, float $most): ?float
    {
        if (! $isGood($way($most))) {
            return null;
        }
        [$bad, $good] = [0.0, $most];
        for ($halving = 0; $halving < self::HALVINGS; $halving++) {
            $middle = ($bad + $good) / 2;
            [$bad, $good] = $isGood($way($middle)) ? [$bad, $middle] : [$middle, $good];
        }

        return $good;
    }

    /**
     * @param  'light'|'dark'  $scheme
     * @return list<ContrastFinding> one for each pair of the token that failed
     */
    private static function found(Scene $before, Scene $after, string $scheme, string $token, bool $isRefused): array
    {
        $found = [];
        foreach (Pair::all() as $pair) {
            if ($pair->token !== $token) {
                continue;
            }
            $was = $before->contrast($pair);
            if ($was < $pair->least) {
                $found[] = new ContrastFinding(
                    $scheme,
                    $token,
                    ucfirst($pair->what).' '.($pair->states === ['at rest'] ? '' : '('.implode(', ', $pair->states).') ')
                        .'cannot be distinguished from what is behind them',
                    $was,
                    $pair->least,
                    $before->palette->colours[$token],
                    $after->palette->colours[$token],
                    $after->contrast($pair),
                    $isRefused,
                );
            }
        }

        return $found;
    }
}
