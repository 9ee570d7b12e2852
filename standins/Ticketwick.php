<?php

declare(strict_types=1);

namespace Standins;

/** Event tickets: venues of an account that granted access, and what guests rated them, out of ten, in pages told by Link. */
final readonly class Ticketwick
{
    private const PAGE = 25;

    private Access $access;

    public function __construct(private State $state, private string $host)
    {
        $this->access = new Access(
            $state,
            'Ticketwick',
            ['venues' => 'see which venues you sell tickets for', 'ratings' => 'read what guests rated and wrote, and your replies'],
            3600,
        );
    }

    public function answer(Request $request): Answer
    {
        $granting = $this->access->answer($request->path, $request->method, $request->query, $request->form);
        if ($granting !== null) {
            return $granting;
        }
        if (preg_match('~^/venues/([\w-]+)$~', $request->path, $found) === 1) {
            $venue = $this->venue($found[1]);

            return $venue === null ? Page::missing('Ticketwick') : Page::of('Ticketwick', $venue['name'], 'Tickets from the box office.');
        }
        $grant = $this->access->holder($request->authorization, $request->path === '/api/venues' ? 'venues' : 'ratings');
        if ($grant instanceof Answer) {
            return $grant;
        }
        $mine = array_values(array_filter(
            $this->state->read()['venues'],
            fn (array $venue): bool => $venue['account'] === $grant['account'],
        ));
        if ($request->path === '/api/venues') {
            return Answer::json(['venues' => array_map(self::summary(...), $mine)]);
        }
        if (preg_match('~^/api/venues/([\w-]+)/ratings$~', $request->path, $found) === 1) {
            foreach ($mine as $venue) {
                if ($venue['venue_id'] === $found[1]) {
                    return $this->ratings($venue, max(1, (int) ($request->query['page'] ?? 1)));
                }
            }
        }

        return Answer::error(404, 'venue_unknown', 'There is no such venue in this account.');
    }

    /** @param  array<string, mixed>  $venue */
    private function ratings(array $venue, int $page): Answer
    {
        $ratings = array_slice($venue['ratings'], ($page - 1) * self::PAGE, self::PAGE);
        $next = count($venue['ratings']) > $page * self::PAGE
            ? ['Link' => "<$this->host/ticketwick/api/venues/$venue[venue_id]/ratings?page=".($page + 1).'>; rel="next"']
            : [];

        return (new Answer(
            200,
            'application/json; charset=utf-8',
            json_encode(
                ['venue' => self::summary($venue), 'ratings' => $ratings],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
            $next,
        ))
            ->validated(hash('xxh128', serialize($venue)."$page"));
    }

    /**
     * @param  array<string, mixed>  $venue
     * @return array<string, mixed>
     */
    private static function summary(array $venue): array
    {
        $scores = array_column($venue['ratings'], 'score');

        return ['venue_id' => $venue['venue_id'], 'name' => $venue['name'], 'town' => $venue['town'],
            'overall' => [
                'score' => $scores === [] ? null : round(array_sum($scores) / count($scores), 1),
                'out_of' => 10,
                'ratings' => count($scores),
            ]];
    }

    /** @return array<string, mixed>|null */
    private function venue(string $id): ?array
    {
        return array_column($this->state->read()['venues'], null, 'venue_id')[$id] ?? null;
    }
}
