<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Gnomic\Text\Fold;
use Gnomic\Text\Words;

/** Turns a table of subjects, with a column for each channel, into subjects and their addresses. */
final class SubjectRows
{
    private const NAMES = [
        'subject',
        'name',
        'venue',
        'product',
        'property',
        'business',
        'place',
        'objekt',
        'etablissement',
        'nombre',
        'nome',
        'naam',
    ];

    private const KINDS = ['kind', 'type', 'art', 'tipo', 'soort'];

    /**
     * @param  array<string, string>  $channels  names by key
     * @return list<array{number: int, name: string, kind: string|null, addresses: array<string, string>, wrong: list<string>}>
     *
     * @throws TableIsWrong where no column names the subject
     */
    public static function of(Table $table, array $channels): array
    {
        $header = array_map(fn (string $name): string => Fold::text($name), $table->header);
        $name = self::first($header, self::NAMES) ?? throw TableIsWrong::noHeader($table->header[0] ?? '');
        $kind = self::first($header, self::KINDS);
        $places = [];
        foreach ($channels as $key => $called) {
            foreach ($header as $index => $column) {
                if ($column === Fold::text($called) || $column === $key) {
                    $places[$key] = $index;
                }
            }
        }
        $rows = [];
        $seen = [];
        foreach ($table->rows as $number => $cells) {
            $subject = Words::line($cells[$name] ?? '');
            $wrong = $addresses = [];
            if ($subject === null) {
                $wrong[] = 'It has no subject. Fill in the first column.';
            } elseif (isset($seen[Fold::text($subject)])) {
                $wrong[] = Echoed::quoted($subject)." stands in row {$seen[Fold::text($subject)]} already. Leave one of them out.";
            } else {
                $seen[Fold::text($subject)] = $number;
            }
            foreach ($places as $key => $index) {
                $address = Words::line($cells[$index] ?? '');
                if ($address !== null && str_contains($address, '://') && Address::webOrNull($address, null) === null) {
                    $wrong[] = Echoed::quoted($address).' is no web address.';
                } elseif ($address !== null) {
                    $addresses[$key] = $address;
                }
            }
            $rows[] = [
                'number' => $number,
                'name' => (string) $subject,
                'kind' => $kind === null ? null : Words::line($cells[$kind] ?? ''),
                'addresses' => $addresses,
                'wrong' => $wrong,
            ];
        }

        return $rows;
    }

    /**
     * @param  list<string>  $header
     * @param  list<string>  $names
     */
    private static function first(array $header, array $names): ?int
    {
        foreach ($names as $name) {
            $index = array_search($name, $header, true);
            if ($index !== false) {
                return (int) $index;
            }
        }

        return null;
    }
}
