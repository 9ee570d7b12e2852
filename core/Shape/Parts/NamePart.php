<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** The name, as the brief wants people named. */
final readonly class NamePart extends Part
{
    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'name';
    }

    public static function label(): string
    {
        return 'Name';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        $name = $context->shape->names->of($context->entry->author->name);

        return $name === null ? null : new self($name);
    }

    public static function row(): Row
    {
        return Row::Name;
    }

    public function text(): string
    {
        return $this->text;
    }
}
