<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Text\Pieces;
use Gnomic\Text\Words;

/** How people are named in a widget. What the source gave stays as it is. */
enum Naming: string
{
    case Full = 'full';
    /** "Ines M." */
    case Short = 'short';
    /** "I. M." */
    case Initials = 'initials';

    /** A name of one word stays whole when it is made short: there is nothing to leave out. */
    public function of(?string $name): ?string
    {
        $parts = Pieces::of((string) Words::line($name), '/\s+/u');
        if ($parts === [] || $this === self::Full) {
            return $name;
        }
        if ($this === self::Initials) {
            return implode(
                ' ',
                array_map(
                    fn (string $part): string => self::initial($part).'.',
                    count($parts) > 2 ? [$parts[0], $parts[count($parts) - 1]] : $parts,
                ),
            );
        }

        return count($parts) === 1 ? $parts[0] : $parts[0].' '.self::initial($parts[count($parts) - 1]).'.';
    }

    /** One or two letters that stand for a face that is not there. */
    public static function face(?string $name): string
    {
        $parts = Pieces::of((string) preg_replace('/[^\p{L}\p{N}\s]+/u', '', (string) $name), '/\s+/u');

        return $parts === [] ? '·' : self::initial($parts[0]).(count($parts) > 1 ? self::initial($parts[count($parts) - 1]) : '');
    }

    private static function initial(string $part): string
    {
        return mb_strtoupper((string) grapheme_substr($part, 0, 1));
    }
}
