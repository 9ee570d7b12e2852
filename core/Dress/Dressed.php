<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Dress\Guard\ContrastFinding;
use Gnomic\Dress\Guard\Guard;

/** A look as it goes out: with what is other in a brief, and with what could not be read mended. */
final readonly class Dressed
{
    /**
     * @param  list<ContrastFinding>  $findings
     * @param  string  $css  own rules, safe to be put into the widget
     */
    private function __construct(
        public string $key,
        public Scheme $scheme,
        public Palette $light,
        public Palette $dark,
        public LookTokens $tokens,
        public array $findings,
        public string $css,
        public string $composition,
    ) {
    }

    /**
     * @param  Look  $own  with what is other in the brief
     * @param  Dress  $dress  what of it is mended
     * @param  string  $css  own rules, safe to be put into the widget
     */
    public static function of(Look $own, Dress $dress, string $css = ''): self
    {
        $findings = [];
        $guarded = function (Palette $palette, bool $isDark) use ($dress, &$findings): Palette {
            $scheme = $isDark ? 'dark' : 'light';
            $refused = [];
            foreach (Palette::over() as $token) {
                if (! $dress->mends || in_array("$scheme.$token", $dress->refused, true)) {
                    $refused[] = $token;
                }
            }
            [$mended, $found] = Guard::mended($palette, $scheme, $refused);
            array_push($findings, ...$found);

            return $mended;
        };

        return new self(
            $own->key,
            $own->scheme,
            $own->scheme->hasLight() ? $guarded($own->light, false) : $own->light,
            $own->scheme->hasDark() ? $guarded($own->dark, true) : $own->dark,
            $own->tokens,
            $findings,
            $css,
            $own->composition,
        );
    }

    /** Of the usual look, for what has no brief. */
    public static function usual(Looks $looks): self
    {
        return self::of($looks->named(Looks::USUAL), Dress::read());
    }

    /** Whether something is painted behind the cards, so that words keep away from its edges. */
    public function isPainted(): bool
    {
        $isSeen = fn (Palette $palette): bool => $palette->sure('ground')->alpha > 0.002 || $palette->colour('groundTo') !== null;

        return $this->tokens->picture !== null
            || ($this->scheme->hasLight() && $isSeen($this->light)) || ($this->scheme->hasDark() && $isSeen($this->dark));
    }

    /** The colours where there is only one set, or where nobody says which. */
    public function palette(): Palette
    {
        return $this->scheme->alone() === Scheme::Dark ? $this->dark : $this->light;
    }

    /** @return list<mixed> everything that what is drawn depends on */
    public function inputs(): array
    {
        return [
            $this->scheme->value,
            $this->scheme->hasLight() ? $this->light->colours : null,
            $this->scheme->hasDark() ? $this->dark->colours : null,
            $this->tokens->toArray(),
            $this->css,
            $this->composition,
        ];
    }
}
