<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use InvalidArgumentException;

/** How a widget looks: a set of tokens, each a custom property of its style sheets. */
final readonly class Look
{
    /**
     * Tokens, with what each is for.
     *
     * @var array<string, string>
     */
    public const TOKENS = [
        'ground' => 'behind everything',
        'ink' => 'words',
        'quiet' => 'dates, counts, the line at the foot',
        'line' => 'hairlines',
        'glyph' => 'ratings, arrows, names',
    ];

    /**
     * @param  string  $about  for who chooses it: "Dark ink on white"
     * @param  array<string, string>  $tokens  each of TOKENS
     */
    private function __construct(public string $key, public string $name, public string $about, public array $tokens)
    {
    }

    /**
     * @param  mixed  $json  {"name": …, "about": …, "tokens": {…}}
     *
     * @throws InvalidArgumentException where a token is missing, unknown, or no colour
     */
    public static function read(string $key, mixed $json): self
    {
        $text = fn (string $name): string => is_array($json) && is_string($json[$name] ?? null)
            ? $json[$name]
            : throw new InvalidArgumentException("The look \"$key\" needs a text \"$name\".");
        $given = is_array($json) && is_array($json['tokens'] ?? null) ? $json['tokens'] : [];
        $unknown = array_diff_key($given, self::TOKENS);
        if ($unknown !== []) {
            throw new InvalidArgumentException("The look \"$key\" has a token that no style knows: ".array_key_first($unknown).'.');
        }
        $tokens = [];
        foreach (array_keys(self::TOKENS) as $token) {
            $value = $given[$token] ?? null;
            $tokens[$token] = is_string($value)
                ? $value
                : throw new InvalidArgumentException("The look \"$key\" lacks the token \"$token\".");
            Colour::hex($value);
        }

        return new self($key, $text('name'), $text('about'), $tokens);
    }

    /** For a style sheet: "--ground:#fff;--ink:#000". */
    public function properties(): string
    {
        return implode(
            ';',
            array_map(fn (string $token, string $value): string => "--$token:$value", array_keys($this->tokens), $this->tokens),
        );
    }
}
