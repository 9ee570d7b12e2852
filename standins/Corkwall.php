<?php

declare(strict_types=1);

namespace Standins;

/** Boards with pins, for those who copied a token from their settings there. */
final readonly class Corkwall
{
    private const TOKENS = ['ck-5d1e-demo-board' => 'quillmoor'];

    private const PAGE = 20;

    public function __construct(private State $state, private string $host)
    {
    }

    public function answer(Request $request): Answer
    {
        if (preg_match('~^/(quillmoor)(?:/[\w-]+)?$~', $request->path) === 1) {
            return Page::of('Corkwall', 'Quillmoor Observatory', 'Boards of the observatory.');
        }
        $token = preg_match('/^Token (\S+)$/', $request->authorization, $found) === 1 ? $found[1] : '';
        if ($token === '' || ! isset(self::TOKENS[$token])) {
            return Answer::error(
                401,
                str_starts_with($token, 'wl-') ? 'token_foreign' : 'token_unknown',
                'This token is not one of ours.',
            );
        }
        $boards = $this->state->read()['boards'];
        if ($request->path === '/api/boards') {
            return Answer::json(
                ['boards' => array_map(
                    fn (array $board): array => [
                        'board_id' => $board['board_id'],
                        'title' => $board['title'],
                        'pins' => count($board['pins']),
                    ],
                    $boards,
                )],
            );
        }
        if (preg_match('~^/api/boards/([\w-]+)/pins$~', $request->path, $found) === 1) {
            $board = array_column($boards, null, 'board_id')[$found[1]] ?? null;
            $page = max(1, (int) ($request->query['page'] ?? 1));

            return $board === null ? Answer::error(404, 'board_unknown', 'There is no such board.')
                : Answer::json([
                    'pins' => array_map($this->shown(...), array_slice($board['pins'], ($page - 1) * self::PAGE, self::PAGE)),
                    'pages' => (int) ceil(count($board['pins']) / self::PAGE),
                ])
                    ->validated(hash('xxh128', serialize($board)."$page"));
        }

        return Answer::error(404, 'no_such_thing', 'There is nothing at this address.');
    }

    /**
     * @param  array<string, mixed>  $pin
     * @return array<string, mixed>
     */
    private function shown(array $pin): array
    {
        return ['pin_id' => $pin['pin_id'], 'note' => $pin['note'], 'pinned' => $pin['pinned'], 'by' => $pin['by'], 'link' => "$this->host/corkwall/quillmoor/$pin[pin_id]",
            'picture' => ['url' => "$this->host/pictures/$pin[picture]", 'width' => 640, 'height' => 480]];
    }
}
