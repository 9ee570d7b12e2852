<?php

declare(strict_types=1);

namespace Gnomic\Text;

use InvalidArgumentException;
use Transliterator;

/** A catalogue in the other letters of its language, as Serbian has two: ICU writes the texts of messages, and nothing of their form. */
final class Letters
{
    /** Two letters for one, of which a word that begins with it has one capital alone. */
    private const DOUBLE = '/(?<=[LND])(?:J|Ž)(?=\p{Ll})/u';

    /**
     * @param  array<mixed>  $json  of a catalogue, with "letters": the transform of ICU, and what of the catalogue is other in them
     * @return array<mixed> of the same in the other letters
     *
     * @throws InvalidArgumentException where ICU does not know the transform
     */
    public static function others(array $json): array
    {
        $letters = is_array($json['letters'] ?? null) ? $json['letters'] : [];
        $transform = is_string($letters['transform'] ?? null) ? $letters['transform'] : '';
        $writer = Transliterator::create($transform) ?? throw new InvalidArgumentException("ICU knows no transform \"$transform\".");
        $messages = array_map(
            fn (mixed $message): string => self::written(is_string($message) ? $message : '', $writer),
            is_array($json['messages'] ?? null) ? $json['messages'] : [],
        );
        unset($letters['transform'], $json['letters'], $json['also']);

        return $letters + ['messages' => $messages] + $json;
    }

    private static function written(string $message, Transliterator $writer): string
    {
        // The form of a message is in Latin letters, which the transform leaves as they are.
        return (string) preg_replace_callback(
            self::DOUBLE,
            fn (array $letter): string => mb_strtolower($letter[0]),
            (string) $writer->transliterate($message),
        );
    }
}
