<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Entry\Comment;

/** What was said under it, where its source tells: in the enlarged view, or wherever the owner wants it. */
final readonly class CommentsPart extends Part
{
    /** Between two of them, in em. */
    private const GAP = 0.25;

    /** @param  non-empty-list<Comment>  $said */
    private function __construct(public array $said)
    {
    }

    public static function name(): string
    {
        return 'comments';
    }

    public static function label(): string
    {
        return 'Comments, with their words';
    }

    public static function of(PartContext $context): ?self
    {
        $said = array_map(fn (Comment $one): Comment => new Comment(
            $one->text,
            $context->shape->names->of($one->author),
            $one->published,
        ), $context->entry->said);

        return $said === [] ? null : new self($said);
    }

    public static function isOnEverything(): bool
    {
        return false;
    }

    public static function kept(): ?float
    {
        return null;
    }

    public static function isHeld(): bool
    {
        return false;
    }

    public function height(Measure $measure, float $width): float
    {
        $heights = array_map(
            fn (Comment $one): float => Metrics::SMALL_LINE * $measure->small(trim("$one->author $one->text"), $width),
            $this->said,
        );

        return array_sum($heights) + self::GAP * (count($heights) - 1);
    }
}
