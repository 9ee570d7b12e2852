<?php

declare(strict_types=1);

// Makes the data of the invented services: php demo/generate.php FOLDER [NOW]. The same for the same NOW.

/** Draws from the observatory's words. */
final class Teller
{
    private \Random\Randomizer $chance;

    private int $serial = 0;

    /** @var array<string, int> how much of what is said of a place has been said */
    private array $told = [];

    /** @var array<string, int> */
    private array $named = [];

    /** @param  array<string, mixed>  $words */
    public function __construct(private array $words, private int $now)
    {
        $this->chance = new \Random\Randomizer(new \Random\Engine\Mt19937(1926));
    }

    /** @return list<array<string, mixed>> newest first */
    public function reviews(string $place, string $topic, int $count): array
    {
        $reviews = [];
        for ($index = 0; $index < $count; $index++) {
            $at = $this->now - (int) (3600 * (3 + 26 * $index + $this->chance->getInt(0, 20)) * (1 + $index / 40));
            $reviews[] = $this->review($place, $topic, $at, $index);
        }
        usort($reviews, fn (array $a, array $b): int => $b['created'] <=> $a['created']);

        return $reviews;
    }

    /** @return array<string, mixed> */
    private function review(string $place, string $topic, int $at, int $index): array
    {
        $bank = $this->words['reviews'][$place] ?? $this->words['reviews'][$topic];
        $told = $this->told[$place] ??= 0;
        // Some give stars alone, and so do all who come when everything has been said.
        $isSaid = isset($bank[$told]) && $this->chance->getInt(1, 100) > 18;
        [$points, $language, $text] = $isSaid ? $bank[$told] : [$this->points(), 'en', ''];
        $this->told[$place] += $isSaid ? 1 : 0;
        if ($place === 'dome' && $index === 6) {
            [$language, $points, $text] = ['en', 5, $this->words['long']];
        }
        $review = [
            'review_id' => sprintf('wr_%s_%04d', $place, ++$this->serial),
            'author' => $this->author($language),
            'points' => $points, 'of' => 5, 'comment' => $text, 'language' => $text === '' ? null : $language,
            'created' => gmdate('Y-m-d\TH:i:s\Z', $at), 'edited' => null, 'owner_reply' => null,
            // Of some, the directory knows that they were there.
            'verified_visit' => crc32("$place $this->serial") % 5 < 2,
        ];
        if (isset($this->words['translations'][$text])) {
            $review['translation'] = ['language' => 'en', 'comment' => $this->words['translations'][$text]];
        }
        if ($text !== '' && $this->chance->getInt(1, 100) <= 6) {
            $review['edited'] = gmdate('Y-m-d\TH:i:s\Z', $at + 86_400);
        }
        if ($points <= 3 && $text !== '' || $this->chance->getInt(1, 100) <= 8) {
            $review['owner_reply'] = ['text' => $points <= 3 ? $this->words['replies'][$this->chance->getInt(2, 3)] : $this->one($this->words['replies']),
                'created' => gmdate('Y-m-d\TH:i:s\Z', $at + 2 * 86_400)];
        }

        return $review;
    }

    /** @return list<array<string, mixed>> newest first */
    public function posts(int $count): array
    {
        $posts = [];
        foreach (array_slice($this->words['posts'], 0, $count) as $index => [$title, $text, $language, $shows]) {
            $posts[] = ['id' => sprintf('rk-%05d', 40_000 - $index), 'title' => $title, 'text' => $text, 'language' => $language,
                'published' => gmdate('Y-m-d\TH:i:s\Z', $this->now - 5000 - 3600 * 31 * $index), 'edited' => null,
                'picture' => $shows === null ? null : "sky-$shows-$index.png"];
        }

        return $posts;
    }

    /** @return array{name: string, picture?: string} two of three have a picture of themselves, always the same */
    private function author(string $language): array
    {
        $name = $this->name($language);

        return ['name' => $name] + (crc32($name) % 3 === 0 ? [] : ['picture' => 'face-'.crc32($name).'.png']);
    }

    /** Each once, before any comes again. */
    private function name(string $language): string
    {
        $names = $this->words['names'][$language];
        $at = $this->named[$language] = ($this->named[$language] ?? -1) + 1;

        return $names[$at % count($names)];
    }

    private function points(): int
    {
        $lot = $this->chance->getInt(1, 100);

        return match (true) {
            $lot <= 60 => 5, $lot <= 83 => 4, $lot <= 92 => 3, $lot <= 96 => 2, default => 1,
        };
    }

    /** @param  list<string>  $of */
    private function one(array $of): string
    {
        return $of[$this->chance->getInt(0, count($of) - 1)];
    }
}

$folder = $argv[1] ?? exit("Name a folder.\n");
$now = isset($argv[2]) ? (int) $argv[2] : time();
is_dir($folder) || mkdir($folder, 0755, true);
$teller = new Teller(require __DIR__.'/words.php', $now);

$place = fn (string $id, string $name, string $address, string $town, array $reviews): array => [
    'place_id' => $id,
    'name' => $name,
    'address' => $address,
    'town' => $town,
    'reviews' => $reviews,
];
$namesake = fn (int $points, int $count, string $text): array => array_map(fn (int $index): array => [
    'review_id' => "wr_other_$text[0]$index",
    'author' => ['name' => 'R. Quist'],
    'points' => $points,
    'of' => 5,
    'comment' => $text,
    'language' => 'en',
    'created' => gmdate('Y-m-d\TH:i:s\Z', $now - 86_400 * 9 * ($index + 1)), 'edited' => null, 'owner_reply' => null], range(1, $count));

$wayleaf = ['mood' => 'well', 'places' => [
    $place(
        'wl-dome',
        'Quillmoor Observatory: the Dome',
        'Beacon Road, Upper Quillmoor',
        'Quillmoor',
        $teller->reviews('dome', 'dome', 98),
    ),
    $place('wl-harrow', 'Harrow Lane Planetarium', '14 Harrow Lane', 'Tarnbridge', $teller->reviews('harrow', 'planetarium', 46)),
    $place('wl-tea', 'Observatory Tea Rooms', '2 Beacon Road, Upper Quillmoor', 'Quillmoor', $namesake(4, 7, 'Good scones.')),
    $place('wl-inn', 'The Observatory', '61 Mill Street', 'Stenhallow', $namesake(3, 12, 'A decent pint.')),
    $place('wl-quill', 'Quillmoor Observatory (former site)', 'Old Hill, Lower Quillmoor', 'Quillmoor', $namesake(2, 3, 'Closed.')),
    $place('wl-new', 'Skerry Field Station', 'Skerry Point', 'Skerry', []),
]];
$rookcall = ['mood' => 'well', 'title' => 'Quillmoor Observatory on Rookcall', 'posts' => $teller->posts(48)];

$elsewhere = (require __DIR__.'/elsewhere.php')($teller, $wayleaf, $now);

foreach (['wayleaf' => $wayleaf, 'rookcall' => $rookcall] + $elsewhere as $name => $state) {
    file_put_contents(
        "$folder/$name.json",
        json_encode($state, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT),
    );
}
