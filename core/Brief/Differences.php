<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Text\Numbers;

/** What differs between two briefs, in sentences: by the phrases in which they are read aloud, and else by the parts they have. */
final class Differences
{
    /** Parts that no phrase speaks of, as the owner calls them. */
    private const PARTS = [
        'heights' => 'how high cards are',
        'shorten' => 'the length of the words',
        'lines' => 'the lines of the words',
        'card' => 'what cards show',
        'names' => 'how people are named',
        'rating' => 'how ratings are shown',
        'date' => 'how dates are shown',
        'picture' => 'the shape of pictures',
        'title' => 'what the widget is called in feeds and frames',
        'heading' => 'the heading',
        'line' => 'the line under the heading',
        'actions' => 'what visitors can do from the head',
        'click' => 'what a click does',
        'address' => 'where a click leads',
        'addresses' => 'where clicks on single entries lead',
        'newTab' => 'where links open',
        'rel' => 'the link types',
        'more' => 'how visitors get more',
        'choosing' => 'what visitors may choose',
        'marked' => 'the words that are marked',
        'frame' => 'the room that it takes',
        'at' => 'what differs on phones and tablets',
        'empty' => 'what is shown when there is nothing to show',
        'markup' => 'data for search engines',
        'honest' => 'the note about the selection',
    ];

    /** Parts that a phrase speaks of, by its key, but not of all that they are. */
    private const SPOKEN = [
        'layout' => ['layout' => 'the settings of the layout', 'composition' => 'how parts of a card stand'],
        'head' => ['head' => 'what the head shows', 'headAt' => 'where the head stands'],
    ];

    private const OF_DRESS = [
        'light' => 'colours on light pages',
        'dark' => 'colours on dark pages',
        'tokens' => 'tokens of the look',
        'mend' => 'whether colours are fixed',
        'refused' => 'which colours are not fixed',
        'css' => 'its own rules',
        'words' => 'the words visitors read',
    ];

    /** @return list<string> each a sentence without its point: '"four stars and up" became "three stars and up"'; none of equal briefs */
    public static function between(Brief $before, Brief $after, SentenceContext $context): array
    {
        [$old, $new] = [self::phrases($before, $context), self::phrases($after, $context)];
        $told = [];
        foreach ($old + $new as $key => $unused) {
            $was = $old[$key] ?? null;
            $is = $new[$key] ?? null;
            $said = match (true) {
                $was === $is => null,
                $was === null => "\"$is\" was added",
                $is === null => "\"$was\" was removed",
                default => "\"$was\" became \"$is\"",
            };
            $told = $said === null ? $told : [...$told, $said];
        }
        $parts = [];
        $same = fn (string $key): bool => ($old[$key] ?? null) === ($new[$key] ?? null);
        $unsaid = array_merge(self::PARTS, ...array_values(array_filter(self::SPOKEN, $same, ARRAY_FILTER_USE_KEY)));
        foreach ($unsaid as $member => $name) {
            if ($before->shape->toArray()[$member] !== $after->shape->toArray()[$member]) {
                $parts[] = $name;
            }
        }

        foreach (self::OF_DRESS as $member => $name) {
            if ($before->dress->toArray()[$member] !== $after->dress->toArray()[$member]) {
                $parts[] = $name;
            }
        }

        if ($parts !== []) {
            $told[] = Numbers::listed($parts).' changed';
        }

        // What is said alike of both, such as other entries that are pinned.
        return $told === [] && $before->toArray() !== $after->toArray() ? ['details changed'] : $told;
    }

    /** @return array<string, string> what the sentence says of each topic */
    private static function phrases(Brief $brief, SentenceContext $context): array
    {
        $phrases = [];
        foreach (Sentence::of($brief, $context) as $phrase) {
            if ($phrase->key !== null && ! $phrase->isOffer) {
                $phrases[$phrase->key] = isset($phrases[$phrase->key]) ? "{$phrases[$phrase->key]}, $phrase->text" : $phrase->text;
            }
        }

        return $phrases;
    }
}
