<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Shape\Parts\Row;

/**
 * Puts the templates of the parts of cards into that of the cards, before it is compiled: to look each of them up for each card
 * takes as long as all the rest. Each template has $part, and what that of the cards has.
 */
final readonly class PartTemplates
{
    /** @param  string  $folder  of templates; parts/NAME/template.blade.php lie in it */
    public function __construct(private string $folder)
    {
    }

    /** @param  string  $template  not yet compiled */
    public function put(string $template): string
    {
        return str_contains($template, '@partsOfCard') ? str_replace('@partsOfCard', $this->ofCard(), $template) : $template;
    }

    /** Seconds since 1970 when the last of them was changed. */
    public function changedAt(): int
    {
        $files = glob("$this->folder/parts/*/template.blade.php");

        return max(0, ...array_map(fn (string $file): int => (int) filemtime($file), $files === false ? [] : $files));
    }

    private function ofCard(): string
    {
        $alone = array_filter(Parts::ALL, fn (string $part): bool => $part::row() === null);
        $byline = $this->file('byline');
        foreach (Row::cases() as $row) {
            $parts = array_filter(Parts::ALL, fn (string $part): bool => $part::row() === $row);
            $byline = str_replace("@partOf($row->name)", $this->choice($parts), $byline);
        }

        return "@php(\$part = \$block->parts[0])\n@if (\$block->byline !== null)\n$byline@else\n{$this->choice($alone)}\n@endif";
    }

    /** @param  array<class-string<Part>>  $parts */
    private function choice(array $parts): string
    {
        $choice = '';
        foreach ($parts as $part) {
            $choice .= ($choice === '' ? '@if' : '@elseif')." (\$part instanceof \\$part)".$this->glued($this->file($part::name()));
        }

        return $choice === '' ? '' : "$choice@endif";
    }

    /** A word right behind a directive would belong to it. */
    private function glued(string $template): string
    {
        return str_starts_with($template, '<') ? $template : "\n$template";
    }

    private function file(string $name): string
    {
        return (string) file_get_contents("$this->folder/parts/$name/template.blade.php");
    }
}
