<?php

declare(strict_types=1);

namespace App\Editions;

use App\Host\Folder;
use Gnomic\Text\Catalogue;

/** The languages that widgets speak to visitors: one file each, in resources/words. */
final class Catalogues
{
    /** For those who ask for a language that there is none of. */
    private const USUAL = 'en';

    /** @var array<string, Catalogue>|null */
    private ?array $catalogues = null;

    public function __construct(private readonly string $folder)
    {
    }

    public function of(string $language): Catalogue
    {
        return $this->all()[$language] ?? $this->all()[self::USUAL];
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

    /** @return array<string, Catalogue> by language */
    public function all(): array
    {
        if ($this->catalogues === null) {
            $this->catalogues = [];
            foreach (Folder::paths("$this->folder/*.json") as $file) {
                $catalogue = Catalogue::read(json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR));
                $this->catalogues[$catalogue->language] = $catalogue;
            }
        }

        return $this->catalogues;
    }
}
