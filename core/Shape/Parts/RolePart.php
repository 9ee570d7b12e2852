<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

final readonly class RolePart extends Part
{
    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'role';
    }

    public static function label(): string
    {
        return 'Role or company';
    }

    public static function of(PartContext $context): ?self
    {
        $role = $context->entry->author->role;

        return $role === null ? null : new self($role);
    }

    public static function row(): Row
    {
        return Row::Of;
    }

    public function text(): string
    {
        return $this->text;
    }
}
