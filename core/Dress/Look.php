<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Schema\ObjectSchema;
use InvalidArgumentException;

/** How a widget looks: colours for light and for dark, and all that is no colour. Data, and nothing that code branches on. */
final readonly class Look
{
    /** The composition of a look that is made from nothing. */
    public const USUAL = 'words';

    /** Of a look that does not say how parts of a card stand to each other: as before there was a choice. */
    private const COMPOSITION = 'even';

    /**
     * @param  string  $about  for who chooses it: "Dark ink on white"
     * @param  string  $composition  that it brings, of Gnomic\Shape\Compositions
     */
    private function __construct(
        public string $key,
        public string $name,
        public string $about,
        public Scheme $scheme,
        public Palette $light,
        public Palette $dark,
        public LookTokens $tokens,
        public string $composition = self::COMPOSITION,
    ) {
    }

    public static function of(
        string $key,
        string $name,
        string $about,
        Scheme $scheme,
        Palette $light,
        Palette $dark,
        LookTokens $tokens,
        string $composition = self::COMPOSITION,
    ): self {
        return new self($key, $name, $about, $scheme, $light, $dark, $tokens, $composition);
    }

    /**
     * @param  mixed  $json  {"name": …, "about": …, "scheme": …, "light": {…}, "dark": {…}, "tokens": {…}}; of the two sets of colours
     *     one may be missing, and is the other turned round
     *
     * @throws InvalidArgumentException where a token is missing, unknown, or cannot be so, naming it
     */
    public static function read(string $key, mixed $json): self
    {
        $given = ObjectSchema::membersOf($json) ?? [];
        $text = fn (string $name, int $most): string => is_string($given[$name] ?? null) && mb_strlen($given[$name]) <= $most
            ? $given[$name]
            : throw new InvalidArgumentException("The look \"$key\" needs a text \"$name\" of at most $most characters.");
        $unknown = array_diff_key($given, array_flip(['name', 'about', 'composition', 'scheme', 'light', 'dark', 'tokens']));
        if ($unknown !== []) {
            throw new InvalidArgumentException("The look \"$key\" has an unknown member: ".array_key_first($unknown).'.');
        }
        $members = fn (string $name): ?array => isset($given[$name]) ? ObjectSchema::membersOf($given[$name]) : null;
        try {
            [$light, $dark] = [$members('light'), $members('dark')];
            if ($light === null && $dark === null) {
                throw MemberIsWrong::missing('/light', 'an object');
            }
            $scheme = Scheme::tryFrom($text('scheme', 10)) ?? throw MemberIsWrong::at(
                '/scheme',
                'light, dark, page or visitor',
                $given['scheme'],
            );
            $lit = $light === null ? Palette::read($dark ?? [], '/dark')->turned() : Palette::read($light, '/light');

            return new self(
                $key,
                $text('name', 60),
                $text('about', 160),
                $scheme,
                $lit,
                $dark === null ? $lit->turned() : Palette::read($dark, '/dark'),
                LookTokens::read($members('tokens') ?? [], '/tokens', ! isset($given['composition'])),
                isset($given['composition']) ? $text('composition', 20) : self::COMPOSITION,
            );
        } catch (MemberIsWrong $wrong) {
            throw new InvalidArgumentException("The look \"$key\": {$wrong->getMessage()}", previous: $wrong);
        }
    }

    /**
     * With the picture behind everything as it is served; letters may stand on any of its colours.
     *
     * @param  string|null  $address  null: it is not there, and the ground stands alone
     * @param  array{string, string}  $extremes  its darkest and its lightest colour
     */
    public function pictured(?string $address, array $extremes): self
    {
        $behind = ['behind' => $extremes[0], 'behindTo' => $extremes[1]];

        return self::of(
            $this->key,
            $this->name,
            $this->about,
            $this->scheme,
            $address === null ? $this->light : $this->light->with($behind),
            $address === null ? $this->dark : $this->dark->with($behind),
            $this->tokens->pictured($address),
            $this->composition,
        );
    }

    /** @return array<string, mixed> the JSON form, whole */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'about' => $this->about,
            'composition' => $this->composition,
            'scheme' => $this->scheme->value,
            'light' => $this->light->colours,
            'dark' => $this->dark->colours,
            'tokens' => $this->tokens->toArray(),
        ];
    }
}
