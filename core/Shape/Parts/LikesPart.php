<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** "12 likes, 3 comments". */
final readonly class LikesPart extends Part
{
    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'likes';
    }

    public static function label(): string
    {
        return 'Likes and comments';
    }

    public static function of(PartContext $context): ?self
    {
        [$entry, $words] = [$context->entry, $context->words];
        $counts = array_filter([
            $entry->likes === null ? null : $words->say('card.likes', ['count' => $entry->likes]),
            $entry->comments === null ? null : $words->say('card.comments', ['count' => $entry->comments]),
        ], is_string(...));

        return $counts === [] ? null : new self(implode($words->say('list.comma'), $counts));
    }

    public function text(): string
    {
        return $this->text;
    }
}
