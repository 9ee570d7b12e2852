<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;

/** The colours of a look in one scheme: each a token, each a custom property of the style sheet. */
final readonly class Palette
{
    /**
     * Tokens, with what each is for.
     *
     * @var array<string, string>
     */
    public const TOKENS = [
        'ground' => 'behind everything; it may let through what is behind it',
        'groundTo' => 'where a gradient of the ground ends; null: it is plain',
        'surface' => 'of cards; transparent where they have none of their own',
        'ink' => 'words, headings, the figure',
        'quiet' => 'dates, counts, the line at the foot',
        'line' => 'hairlines and edges',
        'accent' => 'names, and what can be pressed',
        'rating' => 'rating glyphs and the spread',
        'link' => 'links in small print',
        'control' => 'arrows, dots and the ring around what has the focus',
        'behind' => 'of the page behind a ground that lets it through',
        'behindTo' => 'where that is a gradient or a picture, its other end; null: it is plain',
    ];

    /** Those that lie over others, and are opaque. */
    public const OVER = ['ink', 'quiet', 'accent', 'rating', 'link', 'control'];

    private const NULLABLE = ['groundTo', 'behindTo'];

    private const USUAL = ['groundTo' => null, 'surface' => '#ffffff00', 'behind' => '#ffffff', 'behindTo' => null];

    private const OPAQUE = '^#[0-9a-f]{6}$';

    private const ANY = '^#([0-9a-f]{6}|[0-9a-f]{8})$';

    /** @param  array<string, string|null>  $colours  each of TOKENS, in small letters */
    private function __construct(public array $colours)
    {
    }

    /** All members may be missing: what a brief changes of a look, or a saved look of none. */
    public static function changes(string $about): ObjectSchema
    {
        $members = [];
        foreach (self::TOKENS as $token => $for) {
            $members[$token] = self::text($token, ucfirst($for).'; null: as the look has it.');
        }

        return ObjectSchema::of($members, about: $about);
    }

    /**
     * @param  array<array-key, mixed>  $given
     *
     * @throws MemberIsWrong naming the token and the remedy
     */
    public static function read(array $given, string $pointer): self
    {
        foreach (array_keys($given) as $name) {
            isset(self::TOKENS[$name]) || throw MemberIsWrong::unknown("$pointer/$name", array_keys(self::TOKENS));
        }
        $colours = [];
        foreach (array_keys(self::TOKENS) as $token) {
            $value = $given[$token] ?? self::USUAL[$token] ?? null;
            $read = $value === null && in_array($token, self::NULLABLE, true) ? null
                : self::text($token)->read($value ?? throw MemberIsWrong::missing("$pointer/$token", 'a colour'), "$pointer/$token");
            $colours[$token] = is_string($read) ? $read : null;
        }

        return new self($colours);
    }

    private static function text(string $token, string $about = ''): TextSchema
    {
        return in_array($token, self::OVER, true)
            ? TextSchema::matchingOrNull(self::OPAQUE, 'a colour such as "#1d2333"', 7, $about)
            : TextSchema::matchingOrNull(self::ANY, 'a colour such as "#1d2333", or "#1d233380" where it lets through', 9, $about);
    }

    public function colour(string $token): ?Colour
    {
        $hex = $this->colours[$token] ?? null;

        return $hex === null ? null : Colour::tryHex($hex);
    }

    /** Of a token that is never null. */
    public function sure(string $token): Colour
    {
        return $this->colour($token) ?? Colour::hex('#808080');
    }

    /** @param  array<string, string|null>  $colours  null: as it was, or of those that may be missing, none */
    public function with(array $colours): self
    {
        return new self(array_intersect_key($colours, self::TOKENS) + $this->colours);
    }

    /** @param  array<array-key, mixed>  $changes  read by changes(); null: as it was */
    public function changed(array $changes): self
    {
        return $this->with(array_filter(array_intersect_key($changes, self::TOKENS), is_string(...)));
    }

    /** The ground as it is seen where something has to stand over the page: opaque. */
    public function solid(): Colour
    {
        return $this->sure('ground')->over($this->sure('behind'))->rounded();
    }

    /** The same hues the other way round: light where it was dark. What cannot be read then is the guard's to mend. */
    public function turned(): self
    {
        $turned = [];
        foreach ($this->colours as $token => $hex) {
            $colour = $hex === null ? null : Colour::tryHex($hex);
            if ($colour !== null) {
                $oklch = Oklch::of($colour);
                // Dark grounds are not quite black, light ones may be quite white.
                $lightness = in_array($token, self::OVER, true) ? 1.12 - $oklch->lightness : 1.18 - $oklch->lightness;
                $turned[$token] = $oklch->withLightness(min(1.0, $lightness))->toColour()->toHex();
            }
        }

        return $this->with($turned);
    }
}
