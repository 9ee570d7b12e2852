<?php

declare(strict_types=1);

namespace Standins;

/** A map directory: places looked up by name, their reviews in pages with a cursor, newest first, for those with a key. */
final readonly class Wayleaf
{
    /** The keys it has given out, each with the site it is for; null for any. */
    private const KEYS = ['wl-demo-key-7Q2M' => null, 'wl-site-key-4H8C' => 'quillmoor.example', 'wl-fresh-key-9T1R' => null];

    /** Seconds from the first use of a new key until it is active. */
    private const UNTIL_ACTIVE = 20;

    /** Requests a day for a key. */
    private const QUOTA = 20_000;

    private const PAGE = 5;

    public function __construct(private State $state)
    {
    }

    public function answer(Request $request): Answer
    {
        [$path, $query, $key] = [$request->path, $request->query, $request->key];
        if (preg_match('~^/places/([\w-]+)$~', $path, $found) === 1) {
            $place = array_column($this->state->read()['places'], null, 'place_id')[$found[1]] ?? null;

            return $place === null ? Page::missing('Wayleaf') : Page::of('Wayleaf', $place['name'], "$place[address], $place[town]");
        }
        if ($key === '') {
            return Answer::error(401, 'key_missing', 'Send your key in the header Wayleaf-Key.');
        }
        if (! array_key_exists($key, self::KEYS)) {
            return Answer::error(403, 'key_unknown', 'This key is not one of ours.');
        }
        if (self::KEYS[$key] !== null && self::KEYS[$key] !== $request->site) {
            return Answer::error(403, 'key_other_site', 'This key is for another site.');
        }
        $left = $this->left($key);
        if ($left instanceof Answer) {
            return $left;
        }
        header('Wayleaf-Quota: '.self::QUOTA);
        header("Wayleaf-Quota-Left: $left");
        if ($path === '/v1/places') {
            return $this->places(trim($query['query'] ?? ''));
        }
        if (preg_match('~^/v1/places/([\w-]+)/reviews$~', $path, $found) === 1) {
            return $this->reviews($found[1], $query['cursor'] ?? '');
        }

        return Answer::error(404, 'no_such_thing', 'There is nothing at this address.');
    }

    /** Counts a request: what is left of the day's quota, or why it is not answered. */
    private function left(string $key): int|Answer
    {
        $used = 0;
        $first = 0;
        $this->state->change(function (array $state) use ($key, &$used, &$first): array {
            $today = gmdate('Y-m-d');
            $used = 1 + (($state['used'][$key]['day'] ?? '') === $today ? $state['used'][$key]['count'] : 0);
            $first = $state['used'][$key]['first'] ?? time();
            $state['used'][$key] = ['day' => $today, 'count' => $used, 'first' => $first];

            return $state;
        });
        $wait = str_contains($key, 'fresh') ? $first + self::UNTIL_ACTIVE - time() : 0;
        if ($wait > 0) {
            return new Answer(
                403,
                'application/json',
                (string) json_encode(
                    ['error' => ['code' => 'key_not_active', 'message' => 'This key is new; it becomes active in a moment.']],
                ),
                ['Retry-After' => (string) $wait],
            );
        }
        $quota = (int) ($this->state->read()['quota'] ?? self::QUOTA);

        return $used > $quota
            ? new Answer(
                429,
                'application/json',
                (string) json_encode(['error' => ['code' => 'quota_used', 'message' => 'The quota of the day is used.']]),
                ['Retry-After' => (string) (86_400 - time() % 86_400)],
            )
            : (int) ($quota - $used);
    }

    /**
     * @param  array<string, mixed>  $review
     * @return array<string, mixed> with its author's picture at an address
     */
    private function shown(array $review): array
    {
        if (isset($review['author']['picture'])) {
            $review['author']['picture'] = 'http://'.$_SERVER['HTTP_HOST']."/pictures/{$review['author']['picture']}";
        }

        return $review;
    }

    private function places(string $query): Answer
    {
        if (mb_strlen($query) < 3) {
            return Answer::error(400, 'query_short', 'Give at least three letters of the name.');
        }
        $words = preg_split('/\W+/u', mb_strtolower($query), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $found = [];
        foreach ($this->state->read()['places'] as $place) {
            $text = mb_strtolower("$place[name] $place[town]");
            if ($words !== [] && array_filter($words, fn (string $word): bool => ! str_contains($text, $word)) === []) {
                $found[] = $this->summary($place);
            }
        }

        return Answer::json(['places' => $found]);
    }

    /**
     * @param  array<string, mixed>  $place
     * @return array<string, mixed>
     */
    private function summary(array $place): array
    {
        $points = array_column($place['reviews'], 'points');

        return ['place_id' => $place['place_id'], 'name' => $place['name'], 'address' => $place['address'], 'town' => $place['town'], 'picture' => 'http://'.$_SERVER['HTTP_HOST']."/pictures/place-$place[place_id].png",
            'reviews' => count($points), 'average' => $points === [] ? null : round(array_sum($points) / count($points), 1)];
    }

    private function reviews(string $id, string $cursor): Answer
    {
        foreach ($this->state->read()['places'] as $place) {
            if ($place['place_id'] !== $id) {
                continue;
            }
            $from = $cursor === '' ? 0 : (int) base64_decode(strtr($cursor, '-_', '+/'), true);
            if ($cursor !== '' && $from <= 0) {
                return Answer::error(400, 'cursor_unknown', 'This cursor is not one of ours.');
            }
            $next = $from + self::PAGE < count($place['reviews'])
                ? rtrim(strtr(base64_encode((string) ($from + self::PAGE)), '+/', '-_'), '=')
                : null;

            return Answer::json([
                'place' => $this->summary($place),
                'reviews' => array_map($this->shown(...), array_slice($place['reviews'], $from, self::PAGE)),
                'next' => $next,
            ])
                ->validated(hash('xxh128', serialize($place)."$from"));
        }

        return Answer::error(404, 'place_unknown', 'There is no such place.');
    }
}
