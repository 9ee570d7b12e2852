<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\Folder;
use Gnomic\Json\Value;
use Gnomic\Text\Catalogue;
use Gnomic\Text\LanguageLookup;
use Gnomic\Text\Letters;

/** The languages that widgets speak to visitors: one file each, in resources/words. */
final class Catalogues
{
    /** For those who ask for a language that there is none of. */
    private const USUAL = 'en';

    /** @var array<string, array<mixed>>|null as the files have them, by language */
    private ?array $files = null;

    /** @var array<string, Catalogue> those that were asked for: a message takes as long to be read as a file */
    private array $read = [];

    private ?LanguageLookup $lookup = null;

    public function __construct(private readonly string $folder)
    {
    }

    /** The usual one where there is none of a language. */
    public function of(string $language): Catalogue
    {
        $known = isset($this->files()[$language]) ? $language : $this->lookup()->language($language) ?? self::USUAL;

        return $this->read[$known] ??= Catalogue::read($this->files()[$known] ?? null);
    }

    /**
     * With words of a widget's own, and else of its site's.
     *
     * @param  list<array{key: string, language: string|null, says: string}>  $ofWidget
     * @param  list<array{key: string, language: string|null, says: string}>  $ofSite
     */
    public function spoken(string $language, array $ofWidget, array $ofSite = []): Catalogue
    {
        $catalogue = $this->of($language);

        return $ofSite === [] && $ofWidget === [] ? $catalogue : $catalogue->instead([...$ofSite, ...$ofWidget]);
    }

    /** Which of them a page gets. */
    public function lookup(): LanguageLookup
    {
        return $this->lookup ??= new LanguageLookup(
            array_map(fn (array $file): array => Value::texts($file['also'] ?? []), $this->files()),
        );
    }

    /** @return array<string, string> what each calls itself, by language */
    public function names(): array
    {
        return array_map(fn (array $file): string => Value::text($file['name'] ?? ''), $this->files());
    }

    /** @return array<string, Catalogue> by language */
    public function all(): array
    {
        return array_map(fn (string $language): Catalogue => $this->of($language), array_combine($this->languages(), $this->languages()));
    }

    /** @return list<string> */
    public function languages(): array
    {
        return array_keys($this->files());
    }

    /** @return array<string, array<mixed>> */
    private function files(): array
    {
        if ($this->files === null) {
            $this->files = [];
            foreach (Folder::paths("$this->folder/*.json") as $path) {
                $file = json_decode((string) file_get_contents($path), true, 8, JSON_THROW_ON_ERROR);
                foreach (is_array($file) ? [$file, ...(isset($file['letters']) ? [Letters::others($file)] : [])] : [] as $one) {
                    $this->files[Value::text($one['language'] ?? '')] = $one;
                }
            }
        }

        return $this->files;
    }
}
