<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\Numbers;
use Gnomic\Sift\Clauses\Stars;

/** The line that says what a selection is, in the languages of visitors. The translations are our own. */
final readonly class HonestLine
{
    /** By language: a selection; n stars and up; from a to b stars; n stars only; with words; chosen by words; see all. */
    private const WORDS = [
        'de' => ['Eine Auswahl', 'ab {a} Sternen', '{a} bis {b} Sterne', 'nur {a} Sterne', 'mit Text', 'nach Wörtern gewählt', 'Alle ansehen'],
        'fr' => ['Une sélection', '{a} étoiles et plus', '{a} à {b} étoiles', '{a} étoiles seulement', 'avec du texte', 'choisis selon les mots', 'Tout voir'],
        'es' => ['Una selección', '{a} estrellas o más', 'de {a} a {b} estrellas', 'solo {a} estrellas', 'con texto', 'elegidas por palabras', 'Ver todas'],
        'it' => ['Una selezione', '{a} stelle o più', 'da {a} a {b} stelle', 'solo {a} stelle', 'con testo', 'scelte per parole', 'Vedi tutte'],
        'nl' => ['Een selectie', 'vanaf {a} sterren', '{a} tot {b} sterren', 'alleen {a} sterren', 'met tekst', 'gekozen op woorden', 'Alles bekijken'],
        'pt' => ['Uma seleção', '{a} estrelas ou mais', '{a} a {b} estrelas', 'só {a} estrelas', 'com texto', 'escolhidas por palavras', 'Ver todas'],
        'pl' => ['Wybór', 'od {a} gwiazdek', 'od {a} do {b} gwiazdek', 'tylko {a} gwiazdek', 'z tekstem', 'wybrane według słów', 'Zobacz wszystkie'],
        'cs' => ['Výběr', 'od {a} hvězdiček', '{a} až {b} hvězdiček', 'jen {a} hvězdiček', 's textem', 'vybrané podle slov', 'Zobrazit vše'],
        'sv' => ['Ett urval', '{a} stjärnor eller mer', '{a} till {b} stjärnor', 'bara {a} stjärnor', 'med text', 'valda efter ord', 'Visa alla'],
        'da' => ['Et udvalg', '{a} stjerner og op', '{a} til {b} stjerner', 'kun {a} stjerner', 'med tekst', 'valgt efter ord', 'Vis alle'],
        'ja' => ['抜粋', '星{a}以上', '星{a}〜{b}', '星{a}のみ', '文章あり', '語句で選択', 'すべて見る'],
    ];

    /**
     * @param  string  $language  BCP 47
     * @param  string  $text  "A selection: four stars and up, with words."
     * @param  string  $all  "See all (318)"
     */
    private function __construct(public string $language, public string $text, public string $all)
    {
    }

    /**
     * In English first, for all whose language is none of the others.
     *
     * @param  int  $count  ratings that the figures rest on
     * @return list<self> none where nothing is chosen by stars or words
     */
    public static function each(Brief $brief, Circumstances $around, int $count): array
    {
        $choices = Honesty::choices($brief, $around);
        if ($choices === []) {
            return [];
        }
        $lines = [self::english($brief, $choices, $count)];
        foreach (self::WORDS as $language => [$selection, $up, $range, $only, $worded, $chosen, $all]) {
            $parts = array_map(fn (string $choice): string => match ($choice) {
                'stars' => self::stars($brief, $up, $range, $only),
                'withWords' => $worded,
                'byWords' => $chosen,
            }, $choices);
            $isJapanese = $language === 'ja';
            $lines[] = new self($language, $selection.($isJapanese ? '：' : ': ').implode($isJapanese ? '、' : ', ', $parts).($isJapanese ? '。' : '.'), $isJapanese ? "{$all}（{$count}）" : "$all ($count)");
        }

        return $lines;
    }

    /** @param  list<'stars'|'withWords'|'byWords'>  $choices */
    private static function english(Brief $brief, array $choices, int $count): self
    {
        $parts = array_map(fn (string $choice): string => match ($choice) {
            'stars' => $brief->stars === null ? '' : (new Stars($brief->stars))->phrase(),
            'withWords' => $choices === ['withWords'] ? 'those with words' : 'with words',
            'byWords' => 'chosen by words',
        }, $choices);

        return new self('en', 'A selection: '.implode(', ', $parts).'.', "See all ($count)");
    }

    private static function stars(Brief $brief, string $up, string $range, string $only): string
    {
        [$least, $most] = [$brief->stars?->least() ?? 1.0, $brief->stars?->most() ?? 5.0];

        return strtr(match (true) {
            $least === $most => $only,
            $most === 5.0 => $up,
            default => $range,
        }, ['{a}' => Numbers::plain($least), '{b}' => Numbers::plain($most)]);
    }
}
