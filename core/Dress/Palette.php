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
        'heading' => 'of headings; null: as words',
        'button' => 'of buttons that are painted; null: they are words with a line under them',
        'buttonInk' => 'words on painted buttons; null: black or white',
        'buttonLine' => 'of the edge around buttons; null: they have none',
        'cardInk' => 'words on cards; null: as elsewhere',
        'cardQuiet' => 'dates and counts on cards; null: as elsewhere',
        'cardAccent' => 'names, and what can be pressed on cards; null: as elsewhere',
        'cardRating' => 'rating glyphs on cards; null: as elsewhere',
        'cardLink' => 'links on cards; null: as elsewhere',
        'cardControl' => 'the ring around what has the focus on cards; null: as elsewhere',
    ];

    /** Those that lie over others, are opaque, and are always there. */
    public const OVER = ['ink', 'quiet', 'accent', 'rating', 'link', 'control'];

    /** Those that lie over others, too, and may be missing: what each is then. */
    public const ELSE = [
        'heading' => 'ink',
        'cardInk' => 'ink', 'cardQuiet' => 'quiet', 'cardAccent' => 'accent', 'cardRating' => 'rating', 'cardLink' => 'link',
        'cardControl' => 'control',
    ];

    /** What a colour is called that is not there at all. */
    public const NONE = 'none';

    private const NULLABLE = ['groundTo', 'behindTo', 'button', 'buttonInk', 'buttonLine'];

    /** Those of them that let nothing through. */
    private const CLOSED = ['button', 'buttonInk', 'buttonLine'];

    private const USUAL = ['groundTo' => null, 'surface' => '#ffffff00', 'behind' => '#ffffff', 'behindTo' => null];

    private const OPAQUE = '^#[0-9a-f]{6}$';

    private const ANY = '^#([0-9a-f]{6}|[0-9a-f]{8})$';

    private const OPAQUE_OR_NONE = '^(none|#[0-9a-f]{6})$';

    private const ANY_OR_NONE = '^(none|#([0-9a-f]{6}|[0-9a-f]{8}))$';

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
            $read = $value === null && self::mayBeMissing($token) ? null
                : self::text($token)->read($value ?? throw MemberIsWrong::missing("$pointer/$token", 'a colour'), "$pointer/$token");
            $colours[$token] = is_string($read) && $read !== self::NONE ? $read : null;
        }

        return new self($colours);
    }

    /** Whether a token may be without a colour. */
    public static function mayBeMissing(string $token): bool
    {
        return isset(self::ELSE[$token]) || in_array($token, self::NULLABLE, true);
    }

    private static function text(string $token, string $about = ''): TextSchema
    {
        $such = 'a colour such as "#1d2333"';
        $none = ', or "none"';

        return match (true) {
            in_array($token, self::OVER, true) => TextSchema::matchingOrNull(self::OPAQUE, $such, 7, $about),
            isset(self::ELSE[$token]), in_array($token, self::CLOSED, true) => TextSchema::matchingOrNull(
                self::OPAQUE_OR_NONE,
                $such.$none,
                7,
                $about,
            ),
            self::mayBeMissing($token) => TextSchema::matchingOrNull(self::ANY_OR_NONE, $such.$none, 9, $about),
            default => TextSchema::matchingOrNull(self::ANY, "$such, or \"#1d233380\" where it lets through", 9, $about),
        };
    }

    public function colour(string $token): ?Colour
    {
        $hex = $this->colours[$token] ?? null;

        return $hex === null ? null : Colour::tryHex($hex);
    }

    /** Of a token that is never null, or that is as another where it is. */
    public function sure(string $token): Colour
    {
        return $this->colour($token) ?? $this->colour(self::ELSE[$token] ?? $token) ?? Colour::hex('#808080');
    }

    /** @return list<string> all tokens that lie over others, whether or not they are there */
    public static function over(): array
    {
        return [...self::OVER, ...array_keys(self::ELSE), 'buttonInk'];
    }

    /** The token that says the colour of one: itself, or the one that it is as. */
    public function speaker(string $token): string
    {
        return ($this->colours[$token] ?? null) === null ? self::ELSE[$token] ?? $token : $token;
    }

    /** Of words on buttons: what can be pressed has the accent where it is not painted. */
    public function buttonInk(): Colour
    {
        $button = $this->colour('button');
        $white = Colour::hex('#fff');

        return $this->colour('buttonInk') ?? match (true) {
            $button === null => $this->sure('accent'),
            $button->contrastWith($white) >= 4.5 => $white,
            default => Colour::hex('#000'),
        };
    }

    /** Whether cards are painted. */
    public function hasCards(): bool
    {
        return $this->sure('surface')->alpha > 0.002;
    }

    /** @param  array<string, string|null>  $colours  null: as it was, or of those that may be missing, none */
    public function with(array $colours): self
    {
        return new self(array_intersect_key($colours, self::TOKENS) + $this->colours);
    }

    /** @param  array<array-key, mixed>  $changes  read by changes(); null: as it was */
    public function changed(array $changes): self
    {
        $changes = array_filter(array_intersect_key($changes, self::TOKENS), is_string(...));

        return $this->with(array_map(fn (string $colour): ?string => $colour === self::NONE ? null : $colour, $changes));
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
                $lightness = in_array($token, self::over(), true) ? 1.12 - $oklch->lightness : 1.18 - $oklch->lightness;
                $turned[$token] = $oklch->withLightness(min(1.0, $lightness))->toColour()->toHex();
            }
        }

        return $this->with($turned);
    }
}
