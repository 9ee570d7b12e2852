<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\RatingException;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Json\MemberIsWrong;

/** JSON Lines of entries, in and out. */
final class Lines
{
    public static function write(Entry $entry): string
    {
        return json_encode(
            EntryJson::write($entry),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    /**
     * Wrong lines are told by their number and passed over.
     *
     * @throws PayloadIsUnreadable where not one line is an entry
     */
    public static function read(string $text): Reading
    {
        $entries = $problems = [];
        foreach (explode("\n", $text) as $index => $line) {
            if (trim($line) === '') {
                continue;
            }
            try {
                $value = json_decode($line, true, 64);
                $entries[] = $value === null ? throw MemberIsWrong::at('/', 'a JSON object', $line) : EntryJson::read($value);
            } catch (MemberIsWrong|RatingException $wrong) {
                $problems[] = new Problem('line '.($index + 1), $wrong->getMessage());
            }
        }
        if ($entries === [] && $problems !== []) {
            throw PayloadIsUnreadable::found('no JSON Lines of entries', "First of all, $problems[0]");
        }

        return new Reading('JSON Lines', $entries, $problems);
    }
}
