<?php

declare(strict_types=1);

namespace Gnomic\Gather;

use DomainException;
use Gnomic\Failure;

/** A payload that holds nothing of the kind that was asked for. The message says what was found and what to do. */
final class PayloadIsUnreadable extends DomainException implements Failure
{
    /** @param  bool  $isPage  whether it is a web page, in which something else may be found */
    private function __construct(string $message, public readonly bool $isPage)
    {
        parent::__construct($message);
    }

    /** Something else than a feed. */
    public static function found(string $what, string $remedy): self
    {
        return new self("This is $what, not a feed. $remedy", false);
    }

    /** JSON Lines of which not one is an entry. */
    public static function lines(string $first, int $count): self
    {
        return new self(
            'None of the lines is an entry. The first fault is in '.$first.($count > 1 ? " There are $count in all." : ''),
            false,
        );
    }

    /** A page where a feed was looked for. */
    public static function page(string $remedy): self
    {
        return new self("This is a web page, not a feed. $remedy", true);
    }

    /** A page that lacks what was looked for. */
    public static function without(string $what, string $remedy): self
    {
        return new self("This page has no $what. $remedy", true);
    }

    /** Nothing that people read is so. @param  string  $bound  "10 seconds" */
    public static function takesTooMuch(string $bound): self
    {
        return new self(
            "It would take more than $bound to read what is there, and was left. Check the address; should it be right, whoever runs it "
                .'has to make it lighter.',
            false,
        );
    }

    /** The same as another process said it. */
    public static function told(string $message, bool $isPage): self
    {
        return new self($message, $isPage);
    }

    /** An answer of a service that is not as it should be. */
    public static function answer(string $service, string $what): self
    {
        return new self(
            "$service answered with $what. Gnomic will try again. If this continues, its interface may have changed.",
            false,
        );
    }

    public function about(): array
    {
        return [];
    }
}
