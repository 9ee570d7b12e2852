<?php

declare(strict_types=1);

namespace Standins;

/** A map directory: places looked up by name, their reviews in pages with a cursor, newest first, for those with a key. */
final readonly class Wayleaf
{
    /** The keys it has given out. */
    private const KEYS = ['wl-demo-key-7Q2M'];

    private const PAGE = 20;

    public function __construct(private State $state)
    {
    }

    /** @param  array<string, string>  $query */
    public function answer(string $path, array $query, string $key): Answer
    {
        if ($key === '') {
            return Answer::error(401, 'key_missing', 'Send your key in the header Wayleaf-Key.');
        }
        if (! in_array($key, self::KEYS, true)) {
            return Answer::error(403, 'key_unknown', 'This key is not one of ours.');
        }
        if ($path === '/v1/places') {
            return $this->places(trim($query['query'] ?? ''));
        }
        if (preg_match('~^/v1/places/([\w-]+)/reviews$~', $path, $found) === 1) {
            return $this->reviews($found[1], $query['cursor'] ?? '');
        }

        return Answer::error(404, 'no_such_thing', 'There is nothing at this address.');
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

        return ['place_id' => $place['place_id'], 'name' => $place['name'], 'address' => $place['address'], 'town' => $place['town'],
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
            $next = $from + self::PAGE < count($place['reviews']) ? rtrim(strtr(base64_encode((string) ($from + self::PAGE)), '+/', '-_'), '=') : null;

            return Answer::json(['place' => $this->summary($place), 'reviews' => array_slice($place['reviews'], $from, self::PAGE), 'next' => $next])
                ->validated(hash('xxh128', serialize($place)."$from"));
        }

        return Answer::error(404, 'place_unknown', 'There is no such place.');
    }
}
