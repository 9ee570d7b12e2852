<?php

declare(strict_types=1);

namespace Standins;

/** A photo account: own posts, posts with a hashtag, posts that mention the account. Tokens last sixty days. */
final readonly class Shutterfen
{
    private const PAGE = 12;

    private Access $access;

    public function __construct(private State $state, private string $host)
    {
        $this->access = new Access($state, 'Shutterfen', ['profile' => 'see your name, picture and bio', 'photos' => 'read your posts '
            .'with their likes and comments',
            'hashtags' => 'read public posts with hashtags you name', 'mentions' => 'read posts of others that mention you'], 60 * 86_400);
    }

    public function answer(Request $request): Answer
    {
        $granting = $this->access->answer($request->path, $request->method, $request->query, $request->form);
        if ($granting !== null) {
            return $granting;
        }
        $state = $this->state->read();
        if (preg_match('~^/@([\w.]+)$~', $request->path, $found) === 1) {
            $account = array_column($state['accounts'], null, 'handle')[$found[1]] ?? null;

            return match (true) {
                $account === null => Page::missing('Shutterfen'),
                $account['private'] => new Answer(
                    403,
                    'text/html; charset=utf-8',
                    '<!doctype html><html lang="en"><title>Private</title><p>This account is private.',
                ),
                default => Page::of('Shutterfen', $account['name'], $account['bio']),
            };
        }
        [$scope, $chosen] = match (true) {
            $request->path === '/api/me' => ['profile', null],
            $request->path === '/api/photos' => ['photos', fn (array $photo, array $me): bool => $photo['by']['handle'] === $me['handle']],
            $request->path === '/api/mentions' => [
                'mentions',
                fn (array $photo, array $me): bool => $photo['by']['handle'] !== $me['handle']
                    && in_array($me['handle'], $photo['mentions'], true),
            ],
            preg_match('~^/api/hashtags/([^/]+)$~', $request->path, $found) === 1 => [
                'hashtags',
                fn (array $photo): bool => in_array(mb_strtolower(rawurldecode($found[1])), $photo['tags'], true),
            ],
            default => ['', null],
        };
        if ($scope === '') {
            return Answer::error(404, 'no_such_thing', 'There is nothing at this address.');
        }
        $grant = $this->access->holder($request->authorization, $scope);
        if ($grant instanceof Answer) {
            return $grant;
        }
        $me = array_column($state['accounts'], null, 'id')[$grant['account']];
        if ($me['private'] && $scope !== 'profile') {
            return Answer::error(403, 'account_private', 'The account is private.');
        }
        if ($chosen === null) {
            return Answer::json([
                'account_id' => $me['id'],
                'handle' => $me['handle'],
                'name' => $me['name'],
                'bio' => $me['bio'],
                'picture' => "$this->host/pictures/$me[picture]",
            ]);
        }

        return $this->page(
            array_values(array_filter($state['photos'], fn (array $photo): bool => $chosen($photo, $me))),
            (string) ($request->query['before'] ?? ''),
        );
    }

    /** @param  list<array<string, mixed>>  $photos */
    private function page(array $photos, string $before): Answer
    {
        $from = $before === '' ? 0 : 1 + (int) array_search($before, array_column($photos, 'photo_id'), true);
        $page = array_slice($photos, $from, self::PAGE);
        $last = $page === [] ? null : $page[count($page) - 1]['photo_id'];

        return Answer::json([
            'photos' => array_map($this->shown(...), $page),
            'before' => $from + self::PAGE < count($photos) ? $last : null,
        ])
            ->validated(hash('xxh128', serialize($photos).$before));
    }

    /**
     * @param  array<string, mixed>  $photo
     * @return array<string, mixed>
     */
    private function shown(array $photo): array
    {
        $sizes = array_map(
            fn (int $width): array => [
                'width' => $width,
                'height' => (int) ($width * 0.75),
                'url' => "$this->host/pictures/$photo[picture]?w=$width",
            ],
            [320, 640, 1280],
        );

        return ['photo_id' => $photo['photo_id'], 'permalink' => "$this->host/shutterfen/p/$photo[photo_id]", 'caption' => $photo['caption'], 'taken' => $photo['taken'],
            'by' => $photo['by'], 'likes' => $photo['likes'], 'comments' => $photo['comments'],
            'remarks' => $photo['remarks'] ?? [],
            'media' => [
                $photo['video']
                    ? ['kind' => 'video', 'url' => "$this->host/pictures/$photo[picture].mp4", 'seconds' => $photo['seconds'] ?? null, 'poster' => $sizes]
                    : ['kind' => 'image', 'sizes' => $sizes, 'alt' => $photo['alt']],
            ]];
    }
}
