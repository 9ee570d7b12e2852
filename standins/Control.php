<?php

declare(strict_types=1);

namespace Standins;

/** The page on which a person makes things happen at the services. */
final readonly class Control
{
    public const MOODS = [
        'well' => 'answers well',
        'slow' => 'answers slowly',
        'fault' => 'answers with status 500',
        'nonsense' => 'answers nonsense',
        'silent' => 'does not answer',
    ];

    /** @param  array<string, State>  $states by service */
    public function __construct(private array $states)
    {
    }

    /** @param  array<string, string>  $given */
    public function act(array $given): void
    {
        $service = $this->states[$given['service'] ?? ''] ?? $this->states['wayleaf'];
        $wayleaf = $this->states['wayleaf'];
        match ($given['do'] ?? '') {
            'review' => $wayleaf->change(fn (array $state): array => $this->withReview($state, $given)),
            'edit' => $wayleaf->change(fn (array $state): array => $this->withEdit($state, $given)),
            'remove' => $wayleaf->change(fn (array $state): array => $this->without($state, $given)),
            'post' => $this->states['rookcall']->change(fn (array $state): array => $this->withPost($state, $given)),
            'mood' => $service->change(
                fn (array $state): array => ['mood' => isset(self::MOODS[$given['mood'] ?? '']) ? $given['mood'] : 'well']
                    + $state,
            ),
            'quota' => $wayleaf->change(fn (array $state): array => ['quota' => max(0, (int) ($given['left'] ?? 0))] + $state),
            // The owner takes access back at the service; or the tokens run out and want renewing.
            'withdraw' => $service->change(fn (array $state): array => ['tokens' => [], 'refreshes' => []] + $state),
            'expire' => $service->change(
                fn (array $state): array => ['tokens' => array_map(
                    fn (array $token): array => ['until' => time() - 1] + $token,
                    $state['tokens'] ?? [],
                )]
                    + $state,
            ),
            'forget' => $this->states['corkwall']->change(function (array $state): array {
                $state['boards'][0]['pins'] = array_slice($state['boards'][0]['pins'], 0, 2);

                return $state;
            }),
            'unrate' => $this->states['ticketwick']->change(function (array $state): array {
                array_shift($state['venues'][0]['ratings']);

                return $state;
            }),
            default => null,
        };
    }

    /**
     * @param  array<string, mixed>  $state
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private function withReview(array $state, array $given): array
    {
        foreach ($state['places'] as &$place) {
            if ($place['place_id'] === ($given['place'] ?? '')) {
                array_unshift($place['reviews'], [
                    'review_id' => 'wr_'.bin2hex(random_bytes(5)), 'author' => ['name' => $given['name'] ?: 'A visitor'],
                    'points' => max(1, min(5, (int) ($given['points'] ?? 5))),
                    'of' => 5,
                    'comment' => $given['comment'] ?? '',
                    'language' => 'en',
                    'created' => gmdate('Y-m-d\TH:i:s\Z'), 'edited' => null, 'owner_reply' => null,
                ]);
            }
        }

        return $state;
    }

    /**
     * The newest review of a place, in other words.
     *
     * @param  array<string, mixed>  $state
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private function withEdit(array $state, array $given): array
    {
        foreach ($state['places'] as &$place) {
            if ($place['place_id'] === ($given['place'] ?? '') && isset($place['reviews'][0])) {
                $place['reviews'][0]['comment'] = $given['comment'] ?? '';
                $place['reviews'][0]['edited'] = gmdate('Y-m-d\TH:i:s\Z');
            }
        }

        return $state;
    }

    /**
     * @param  array<string, mixed>  $state
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private function without(array $state, array $given): array
    {
        foreach ($state['places'] as &$place) {
            if ($place['place_id'] === ($given['place'] ?? '')) {
                array_shift($place['reviews']);
            }
        }

        return $state;
    }

    /**
     * @param  array<string, mixed>  $state
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private function withPost(array $state, array $given): array
    {
        array_unshift($state['posts'], ['id' => 'rk-'.bin2hex(random_bytes(5)), 'title' => $given['name'] ?? '', 'text' => $given['comment'] ?? '',
            'language' => 'en', 'published' => gmdate('Y-m-d\TH:i:s\Z'), 'edited' => null, 'picture' => null]);

        return $state;
    }

    public function page(): string
    {
        $places = '';
        foreach ($this->states['wayleaf']->read()['places'] as $place) {
            $places .= '<option value="'.$place['place_id'].'">'.htmlspecialchars("$place[name], $place[town]").' ('
                .count($place['reviews']).')</option>';
        }
        $moods = array_map(fn (State $state): string => $state->read()['mood'], $this->states);
        ob_start();
        require __DIR__.'/views/control.php';

        return (string) ob_get_clean();
    }
}
