<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Text\Tokens;

/** What an entry says, title and words, made ready to be searched when it first is. */
final class Saying
{
    private ?string $line = null;

    public function __construct(private readonly string $text)
    {
    }

    /** From Tokens::inAscii() of its line, as an index keeps it. */
    public static function kept(string $line): self
    {
        $saying = new self('');
        $saying->line = Tokens::fromAscii($line);

        return $saying;
    }

    /** As Tokens::line(). */
    public function line(): string
    {
        return $this->line ??= Tokens::line($this->text);
    }
}
