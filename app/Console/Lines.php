<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\RatingException;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Text\Charset;

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
        foreach (explode("\n", Charset::decoded($text, null)->text) as $index => $line) {
            if (trim($line) === '') {
                continue;
            }
            try {
                $value = JsonText::decode($line);
                $entries[] = $entry = EntryJson::read($value);
                foreach (EntryJson::unusable($value, $entry) as $told) {
                    $problems[] = new Problem('line '.($index + 1), $told);
                }
            } catch (MemberIsWrong|RatingException $wrong) {
                $problems[] = new Problem('line '.($index + 1), $wrong->getMessage());
            } catch (JsonIsBroken $wrong) {
                $problems[] = new Problem('line '.($index + 1).", column $wrong->column", "This is not JSON: $wrong->what");
            }
        }
        if ($entries === [] && $problems !== []) {
            throw PayloadIsUnreadable::lines((string) $problems[0], count($problems));
        }

        return new Reading('JSON Lines', $entries, $problems);
    }
}
