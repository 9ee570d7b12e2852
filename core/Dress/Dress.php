<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;

/** A brief's part "dress": a look by its key, and what is other here. */
final readonly class Dress
{
    /** Characters of own rules that are read. */
    public const CSS = 20_000;

    /** The key of a look; where there is none of it, the usual one stands in. */
    public string $look;

    /** Null: as the look has it. */
    public ?Scheme $scheme;

    /** Whether what cannot be read is mended. */
    public bool $mends;

    /** @var list<string> tokens that are left as they are, "light.rating" */
    public array $refused;

    /** Rules of the owner's own, as they were written. */
    public string $css;

    /** @var list<array{key: string, language: string|null, says: string}> words instead of those of the catalogues */
    public array $words;

    /** @param  array<string, mixed>  $members  whole */
    private function __construct(private array $members)
    {
        $dress = Members::of($members, '/dress');
        $this->look = $dress->string('name');
        $this->scheme = Scheme::tryFrom((string) $dress->stringOrNull('scheme'));
        $this->mends = $dress->boolOr('mend', true);
        $this->refused = $dress->strings('refused');
        $this->css = (string) $dress->stringOrNull('css');
        $words = [];
        foreach ($dress->list('words') as $index => $one) {
            $one = Members::of($one, "/dress/words/$index");
            $words[] = ['key' => $one->string('key'), 'language' => $one->stringOrNull('language'), 'says' => $one->string('says')];
        }
        $this->words = $words;
    }

    public static function schema(): ObjectSchema
    {
        /** @var ObjectSchema|null $schema */
        static $schema = null;

        return $schema ??= ObjectSchema::of([
            'name' => TextSchema::matching(
                '^[a-z0-9]+(-[a-z0-9]+)*$',
                'the key of a look such as "paper"',
                40,
                Looks::USUAL,
                'Key of a look; where there is none of it, the usual one stands in.',
            ),
            'scheme' => ChoiceSchema::orNull(Scheme::said(), 'Which of its two sets of colours holds; null: as the look has it.'),
            'light' => Palette::changes('Colours that are other than those of the look, on light pages.'),
            'dark' => Palette::changes('Colours that are other than those of the look, on dark pages.'),
            'tokens' => LookTokens::changes('What is no colour and other than in the look.'),
            'mend' => new BooleanSchema(true, 'Whether what cannot be read is mended.'),
            'refused' => ListSchema::of(
                TextSchema::matching('^(light|dark)\\.[a-zA-Z]+$', 'a token such as "light.rating"', 30),
                40,
                distinct: true,
                about: 'Tokens that are not mended.',
            ),
            'css' => TextSchema::orNull(self::CSS, 'Rules of your own, for the parts of the widget.'),
            'words' => ListSchema::of(ObjectSchema::of([
                'key' => TextSchema::matching('^[a-z]+\\.[a-zA-Z]+$', 'the key of a text such as "more.button"', 60),
                'language' => TextSchema::matchingOrNull(
                    '^[a-z]{2,3}(-[A-Za-z]{2,4})?$',
                    'a language such as "fr" or "pt-BR"',
                    8,
                    'Null: in all of them.',
                ),
                'says' => TextSchema::of(1, 400, 'ICU MessageFormat.'),
            ], ['key', 'says']), 200, about: 'What visitors read instead of the usual words.'),
        ], about: 'How it looks.');
    }

    /** @throws MemberIsWrong naming the member and the remedy */
    public static function read(mixed $dress = []): self
    {
        $members = [];
        $read = self::schema()->read($dress, '/dress');
        foreach (is_array($read) ? $read : [] as $name => $value) {
            $members[(string) $name] = $value;
        }

        return new self($members);
    }

    /**
     * The same with some members changed.
     *
     * @param  array<string, mixed>  $members
     *
     * @throws MemberIsWrong where a member cannot be so
     */
    public function with(array $members): self
    {
        return self::read($members + $this->members);
    }

    /** The look with what is other here. */
    public function on(Look $look): Look
    {
        $changes = fn (string $member): array => is_array($this->members[$member] ?? null) ? $this->members[$member] : [];

        return Look::of(
            $look->key,
            $look->name,
            $look->about,
            $this->scheme ?? $look->scheme,
            $look->light->changed($changes('light')),
            $look->dark->changed($changes('dark')),
            $look->tokens->changed($changes('tokens')),
            $look->composition,
        );
    }

    /** Whether something beside the scheme is other than in the look. */
    public function isOwn(): bool
    {
        $usual = self::read(['name' => $this->look, 'scheme' => $this->scheme?->value])->members;

        return array_diff_key($this->members, ['refused' => 1]) !== array_diff_key($usual, ['refused' => 1]);
    }

    /** @return array<string, mixed> the JSON form, whole: every member written */
    public function toArray(): array
    {
        return $this->members;
    }
}
