<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use Gnomic\Json\MemberIsWrong;

final readonly class BooleanSchema extends Schema
{
    public function __construct(bool $default, string $about = '')
    {
        parent::__construct($about, false, $default);
    }

    protected function keywords(): array
    {
        return ['type' => 'boolean'];
    }

    protected function taken(mixed $value, string $pointer): bool
    {
        return is_bool($value) ? $value : throw MemberIsWrong::at($pointer, $this->wanted(), $value);
    }

    protected function wanted(): string
    {
        return 'true or false';
    }
}
