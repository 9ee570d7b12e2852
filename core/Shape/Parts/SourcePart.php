<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** Where it was said, and the way there. */
final readonly class SourcePart extends Part
{
    /** Takes the place of a source's name, to find what stands around it. */
    private const NAME = "\u{FFFC}";

    /**
     * @param  string  $text  the source's name
     * @param  string  $before  what stands before the name: "on "
     * @param  string  $after  and behind it
     * @param  bool  $isVerified  whether that is said with it: "verified by "
     */
    private function __construct(
        public string $text,
        public string $before,
        public string $after,
        private ?string $url,
        public bool $isVerified,
    ) {
    }

    public static function name(): string
    {
        return 'source';
    }

    public static function label(): string
    {
        return 'Source';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        $name = $context->sourceName();
        if ($name === null) {
            return null;
        }
        $isVerified = $context->entry->verified && $context->shows(VerifiedPart::name());
        $message = match (true) {
            $isVerified => 'card.verified',
            $context->hasDate() => 'card.dayAndSaidAt',
            default => 'card.saidAt',
        };
        $said = $context->words->say($message, ['source' => self::NAME]);
        $said = ($isVerified && $context->hasDate() ? $context->words->say('list.comma') : '').$said;
        [$before, $after] = [...explode(self::NAME, $said, 2), ''];

        return new self($name, $before, $after, $context->url(), $isVerified);
    }

    public static function row(): Row
    {
        return Row::Said;
    }

    public function text(): string
    {
        return $this->before.$this->text.$this->after;
    }

    public function link(): ?string
    {
        return $this->url;
    }
}
