<?php

declare(strict_types=1);

// What the invented services beside the directory and the posts know: tickets, photos, boards, a marketplace.

return function (Teller $teller, array $wayleaf, int $now): array {
    $at = fn (float $days): string => gmdate('Y-m-d\TH:i:s\Z', (int) ($now - $days * 86_400));

    // Guests of the Dome rate it at the box office too, out of ten; some paste what they wrote in the directory.
    $ratings = fn (string $prefix, array $reviews): array => array_map(fn (array $review, int $index): array => [
        'rating_id' => "$prefix-".(9000 - $index),
        'score' => min(10.0, $review['points'] * 2 - ($index % 4) * 0.2),
        'headline' => $index % 3 === 0 && $review['comment'] !== '' ? 'Our evening' : null,
        'body' => $review['comment'],
        'guest' => ['name' => $review['author']['name']],
        'created' => $review['created'],
        'edited' => $review['edited'],
        'language' => null,
        'reply' => $review['owner_reply'] === null
            ? null
            : ['body' => $review['owner_reply']['text'], 'at' => $review['owner_reply']['created']],
    ], $reviews, array_keys($reviews));
    $told = array_map(
        fn (array $review): array => ['created' => gmdate('Y-m-d\TH:i:s\Z', (int) strtotime($review['created']) + 40_000)] + $review,
        array_slice(
            array_values(array_filter($wayleaf['places'][0]['reviews'], fn (array $review): bool => mb_strlen($review['comment']) > 60)),
            0,
            6,
        ),
    );
    $dome = [...$teller->reviews('tw-dome', 'dome', 34), ...$told];
    usort($dome, fn (array $a, array $b): int => $b['created'] <=> $a['created']);
    $ticketwick = ['mood' => 'well', 'accounts' => [
        ['id' => 'box', 'name' => 'Quillmoor box office'],
        ['id' => 'bare', 'name' => 'An account without venues'],
    ], 'venues' => [
        [
            'account' => 'box',
            'venue_id' => 'tv-dome',
            'name' => 'The Dome, Quillmoor',
            'town' => 'Quillmoor',
            'ratings' => $ratings('td', $dome),
        ],
        [
            'account' => 'box',
            'venue_id' => 'tv-harrow',
            'name' => 'Harrow Lane Planetarium',
            'town' => 'Tarnbridge',
            'ratings' => $ratings('th', $teller->reviews('tw-harrow', 'planetarium', 22)),
        ],
        ['account' => 'box', 'venue_id' => 'tv-mirror', 'name' => 'The mirror-making weekend', 'town' => 'Quillmoor', 'ratings' => []],
    ]];

    $captions = [
        ['Eleven mirrors, eleven proud makers. #mirrormaking #quillmoor', ['mirrormaking', 'quillmoor'], 'Hands holding a disc of glass'],
        ['The dome at blue hour. No filter, only patience. #darksky #quillmoor', ['darksky', 'quillmoor'], 'The dome against a blue sky'],
        ['Saturn through the big refractor, held to a phone. It works! #saturn', ['saturn'], 'A small ringed planet'],
        ['The fox came to the talk again 🦊 #quillmoor', ['quillmoor'], 'A fox on the lawn'],
        ['Skerry Field Station: sea below, Milky Way above. #darksky', ['darksky'], 'The Milky Way over a roof'],
        ['Red lanterns on, night eyes in. #nightsky #darksky', ['nightsky', 'darksky'], 'A row of red lamps'],
    ];
    $remarks = [
        ['by' => 'arlo.out', 'text' => 'I can feel the cold through the screen.'],
        ['by' => 'leda.v', 'text' => 'Which night was this? We were there on Thursday.'],
        ['by' => 'kit_o', 'text' => 'The fox again!'],
        ['by' => 'wren.hollis', 'text' => 'Bringing my mother next time.'],
        ['by' => 'brynna_t', 'text' => 'Best half hour of my year.'],
        ['by' => 'moss.a', 'text' => 'How long was the exposure?'],
    ];
    $photos = [];
    for ($index = 0; $index < 30; $index++) {
        [$caption, $tags, $alt] = $captions[$index % count($captions)];
        $photos[] = ['photo_id' => 'sf'.(7000 - $index), 'caption' => $caption, 'tags' => $tags, 'alt' => $alt, 'mentions' => [], 'taken' => $at($index * 2.3 + 0.4),
            'by' => ['handle' => 'quillmoor', 'name' => 'Quillmoor Observatory'],
            'likes' => 40 + ($index * 37) % 210,
            'comments' => ($index * 7) % 19,
            'remarks' => array_slice($remarks, $index % 4, ($index * 7) % 19 === 0 ? 0 : 1 + $index % 3),
            'picture' => "fen-$index.png",
            'video' => $index % 9 === 4,
            'seconds' => 12 + $index * 3];
    }
    foreach ([
        'wren.hollis' => 'Wren Hollis',
        'brynna_t' => 'Bryony Tate',
        'arlo.out' => 'Arlo Finch',
        'leda.v' => 'Leda Voss',
        'kit_o' => 'Kit Oyelaran',
    ] as $handle => $name) {
        $index = count($photos);
        $photos[] = ['photo_id' => 'sf'.(7000 - $index), 'caption' => 'A night up the hill with @quillmoor, and every minute of it '
            .'was worth the drive. #darksky', 'tags' => ['darksky'], 'alt' => 'People under the stars', 'mentions' => ['quillmoor'],
            'taken' => $at(($index - 29) * 4.1),
            'by' => ['handle' => $handle, 'name' => $name],
            'likes' => 12 + $index,
            'comments' => $index % 5,
            'remarks' => [],
            'picture' => "fen-$index.png",
            'video' => false,
            'seconds' => 0];
    }
    usort($photos, fn (array $a, array $b): int => $b['taken'] <=> $a['taken']);
    $shutterfen = ['mood' => 'well', 'accounts' => [
        [
            'id' => 'quill',
            'handle' => 'quillmoor',
            'name' => 'Quillmoor Observatory',
            'bio' => 'An upland public observatory. Gloves, please.',
            'picture' => 'face-quillmoor.png',
            'private' => false,
        ],
        [
            'id' => 'hidden',
            'handle' => 'hester.q',
            'name' => 'Hester, in private',
            'bio' => '',
            'picture' => 'face-hester.png',
            'private' => true,
        ],
    ], 'photos' => $photos];

    $pins = fn (string $prefix, array $notes): array => array_map(
        fn (string $note, int $index): array => [
            'pin_id' => "$prefix-$index",
            'note' => $note,
            'pinned' => $at($index * 5 + 1),
            'by' => 'Quillmoor Observatory',
            'picture' => "cork-$prefix-$index.png",
        ],
        $notes,
        array_keys($notes),
    );
    $corkwall = ['mood' => 'well', 'boards' => [
        [
            'board_id' => 'night-skies',
            'title' => 'Night skies',
            'pins' => $pins(
                'sky',
                [
                    'Orion over the mast',
                    'The double cluster, forty seconds',
                    'Moonrise with geese',
                    'Aurora, low and green',
                    'Star trails round the pole',
                    'A meteor, by luck',
                    'Venus and the dome',
                ],
            ),
        ],
        [
            'board_id' => 'old-plates',
            'title' => 'Plates from the nineteen-twenties',
            'pins' => $pins(
                'plate',
                ['Plate 14: Lyra', 'Plate 31: a star since lost', 'Plate 40: the first comet', 'The plate camera itself'],
            ),
        ],
        ['board_id' => 'empty-board', 'title' => 'For later', 'pins' => []],
    ]];

    $review = fn (string $id, string $name, float $days, int $stars, string $title, string $text): array => [
        'id' => $id,
        'name' => $name,
        'date' => substr($at($days), 0, 10),
        'stars' => $stars,
        'title' => $title,
        'text' => $text,
    ];
    $barrowfair = ['mood' => 'well', 'items' => [
        ['slug' => 'star-wheel', 'name' => 'Pocket Star Wheel', 'markup' => 'json-ld', 'picture' => 'item-wheel.png', 'about' => 'Turn to the hour, hold overhead, know where you are.', 'silent' => [5, 5, 4, 5], 'reviews' => [
            $review(
                'r1',
                'Dilys Penhale',
                3,
                5,
                'Lives in my coat',
                'I turn it to the hour, hold it up, and for once I know what I am looking at.',
            ),
            $review(
                'r2',
                'Moss Aldridge',
                19,
                4,
                'Sturdy',
                'Survived a wet night on the hill. The small print is very small by red light.',
            ),
            $review(
                'r3',
                'Jana Reuter',
                44,
                5,
                'Ein schönes Geschenk',
                'Meine Nichte hat in der ersten Nacht sieben Sternbilder gefunden und will nun jede Nacht hinaus.',
            ),
            $review('r4', 'R. Quist', 90, 2, 'For other latitudes', 'Fine for the north of the country, a little off where I live.')]],
        ['slug' => 'red-lantern', 'name' => 'Red Lantern', 'markup' => 'microdata', 'picture' => 'item-lantern.png', 'about' => 'Light enough to read by, dim enough to keep your night eyes.', 'silent' => [4, 5], 'reviews' => [
            $review('l1', 'Teo Brandt', 6, 5, 'Just dim enough', 'Reads a map without waking your eyes or anybody else in the tent.'),
            $review('l2', 'Iris Kwan', 31, 4, 'Good, could be lighter', 'The light is exactly right. I wish the handle folded.'),
            $review(
                'l3',
                'Gwil Tanner',
                70,
                5,
                'Two winters',
                'Two winters on the same set of cells, which I did not believe at first either.',
            )]],
        ['slug' => 'moon-atlas', 'name' => 'Moon Atlas', 'markup' => 'rdfa', 'picture' => 'item-atlas.png', 'about' => 'Second printing, lie-flat spine, every crater the right way round.', 'silent' => [], 'reviews' => [
            $review(
                'a1',
                'Odette Frame',
                12,
                5,
                'Lies flat at last',
                'The new spine stays open on the table, and the maps are a joy to lose an evening in.',
            ),
            $review(
                'a2',
                'Sefa Toru',
                52,
                4,
                'Beautiful',
                'Paper, print and index are lovely. The names of the small craters want a magnifying glass.',
            )]],
    ]];

    return ['ticketwick' => $ticketwick, 'shutterfen' => $shutterfen, 'corkwall' => $corkwall, 'barrowfair' => $barrowfair];
};
