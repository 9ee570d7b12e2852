<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/** Parts of a widget that rules of the owner's own may speak of, from within and, as ::part(), from the page. */
final class StyledParts
{
    /**
     * What each is, and the class that it has within.
     *
     * @var array<string, array{about: string, class: string}>
     */
    public const ALL = [
        'widget' => ['about' => 'the whole of it', 'class' => 'g'],
        'head' => ['about' => 'all above or beside the cards', 'class' => 'head'],
        'heading' => ['about' => 'the heading', 'class' => 'heading'],
        'line' => ['about' => 'the line under the heading', 'class' => 'line'],
        'figure' => ['about' => 'the overall rating as a number', 'class' => 'figure'],
        'base' => ['about' => 'what the overall rating rests on', 'class' => 'base'],
        'spread' => ['about' => 'the small picture of how ratings are spread', 'class' => 'spread'],
        'button' => ['about' => 'what can be pressed in head and foot', 'class' => 'act'],
        'control' => ['about' => 'arrows and other controls', 'class' => 'tool'],
        'card' => ['about' => 'a card', 'class' => 'card'],
        'rating' => ['about' => 'the rating on a card', 'class' => 'rating'],
        'glyphs' => ['about' => 'its glyphs', 'class' => 'glyphs'],
        'title' => ['about' => 'the title of an entry', 'class' => 'title'],
        'words' => ['about' => 'the words of an entry', 'class' => 'words'],
        'more' => ['about' => '"Read more"', 'class' => 'more'],
        'reply' => ['about' => 'the reply of the owner', 'class' => 'reply'],
        'pictures' => ['about' => 'the pictures of an entry', 'class' => 'pictures'],
        'picture' => ['about' => 'one of them', 'class' => 'shot'],
        'by' => ['about' => 'who said it, when and where', 'class' => 'by'],
        'face' => ['about' => 'the face or the initials', 'class' => 'face'],
        'name' => ['about' => 'the name', 'class' => 'name'],
        'date' => ['about' => 'the date', 'class' => 'date'],
        'source' => ['about' => 'where it was said', 'class' => 'source'],
        'labels' => ['about' => 'labels', 'class' => 'labels'],
        'likes' => ['about' => 'likes and comments', 'class' => 'likes'],
    ];

    /** Custom properties that may be set and read, with what they touch. */
    public const PROPERTIES = [
        '--ink' => 'words', '--quiet' => 'small print', '--line' => 'hairlines and edges', '--accent' => 'names and what can be pressed',
        '--rating' => 'rating glyphs', '--link' => 'links in small print', '--control' => 'arrows, dots, the ring of the focus',
        '--surface' => 'behind cards', '--back' => 'behind everything', '--text' => 'font of the text',
        '--heads' => 'font of the headings',
        '--weight' => 'weight of headings', '--leading' => 'height of lines', '--corner' => 'corners', '--rule' => 'lines between cards',
        '--edge' => 'the line around a card', '--inset' => 'room within a card', '--shadow' => 'the shadow of a card',
        '--picture-corner' => 'corners of pictures', '--picture-edge' => 'the line around a picture',
    ];
}
