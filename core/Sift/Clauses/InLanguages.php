<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Numbers;

/**
 * Entries in the languages that the brief names, by basic filtering (RFC 4647, section 3.3.1): "en" is every English, "en-gb" the
 * British one.
 */
final readonly class InLanguages extends Clause
{
    /** @param  list<string>  $only  ranges */
    private function __construct(private array $only, private bool $keepsUnknown)
    {
    }

    public static function key(): string
    {
        return 'languages';
    }

    public static function topic(): Topic
    {
        return new Topic('languages', 'sift', 'Languages', 'some only, or the page’s own first');
    }

    public static function columns(): array
    {
        return ['language'];
    }

    public static function members(): array
    {
        $range = TextSchema::matching('^[A-Za-z]{1,8}(-[A-Za-z0-9]{1,8})*$', 'a language such as "en" or "pt-BR" (BCP 47)', 35);

        return ['/sift/languages' => ObjectSchema::orNull([
            'only' => ListSchema::orNull($range, 50, about: 'Language ranges (RFC 4647): "en" is every English; null for all.'),
            'unknown' => ChoiceSchema::among(['keep', 'drop'], 'drop', 'What happens to entries whose language is not known.'),
            'pageFirst' => new BooleanSchema(false, 'Whether entries in the language of the page come before the others.'),
        ], 'Languages; null for any.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/languages' => [
            ['pageFirst' => true],
            ['only' => ['en']],
            ['only' => ['de', 'ja'], 'unknown' => 'keep'],
            ['only' => ['EN-gb', 'zh'], 'pageFirst' => true],
        ]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $languages = $wanted->part('sift')->objectOrNull('languages');
        $only = $languages?->strings('only') ?? [];

        return $languages === null || $only === [] ? null : new self($only, $languages->string('unknown') === 'keep');
    }

    /** Whether entries in the language of the page come before the others. */
    public static function pageFirst(Criteria $wanted): bool
    {
        return $wanted->part('sift')->object('languages')->boolOr('pageFirst', false);
    }

    public static function spoken(Criteria $wanted, SiteContext $site): array
    {
        return [...parent::spoken($wanted, $site), ...(self::pageFirst($wanted) ? ['the page’s own language first'] : [])];
    }

    public static function called(): string
    {
        return 'the languages';
    }

    public static function looser(Criteria $wanted): array
    {
        $languages = $wanted->part('sift')->objectOrNull('languages');

        return $languages === null || $languages->string('unknown') === 'keep' ? []
            : [$wanted->with(
                '/sift/languages',
                ['only' => $languages->strings('only'), 'unknown' => 'keep', 'pageFirst' => self::pageFirst($wanted)],
            )];
    }

    public static function without(Criteria $wanted): Criteria
    {
        return $wanted->with('/sift/languages', self::pageFirst($wanted) ? ['pageFirst' => true] : null);
    }

    public function phrase(): string
    {
        $names = array_map(LanguageTag::named(...), $this->only);

        return 'in '.(
            count($names) > 3
                ? Numbers::counted(count($names), 'language')
                : implode(' or ', $names)
        ).($this->keepsUnknown ? ' or an unknown language' : '');
    }

    public function keeps(Facts $entry): bool
    {
        if ($entry->language === null) {
            return $this->keepsUnknown;
        }
        foreach ($this->only as $range) {
            $range = strtolower($range);
            if ($entry->language === $range || str_starts_with($entry->language, "$range-")) {
                return true;
            }
        }

        return false;
    }

    public function reason(Facts $entry): string
    {
        return (
            $entry->language === null
                ? 'Its language is unknown'
                : 'It is in '.LanguageTag::named($entry->language)
        ).'; the widget asks for those '.$this->phrase().'.';
    }

    public function condition(): Condition
    {
        $sql = implode(' OR ', array_fill(0, count($this->only), 'language = ? OR SUBSTR(language, 1, ?) = ?'));
        $bindings = [];
        foreach ($this->only as $range) {
            $range = strtolower($range);
            array_push($bindings, $range, strlen($range) + 1, "$range-");
        }

        return new Condition("(CASE WHEN language IS NULL THEN ? ELSE ($sql) END)", [$this->keepsUnknown ? 1 : 0, ...$bindings]);
    }
}
