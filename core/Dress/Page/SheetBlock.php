<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

/** A part of a style sheet that may hold rules: a whole sheet, or what stands between braces. */
final readonly class SheetBlock
{
    /**
     * @param  string  $css  the whole sheet
     * @param  int  $from  the first of its bytes
     * @param  int  $to  the one behind its last
     * @param  int  $line  in which it begins, 1 for the first
     * @param  int  $depth  how many blocks and sheets it stands in
     */
    private function __construct(
        public string $css,
        public int $from,
        public int $to,
        public RuleContext $context,
        public int $line,
        public int $depth,
    ) {
    }

    public static function sheet(string $css, RuleContext $context, int $depth): self
    {
        return new self($css, 0, strlen($css), $context, 1, $depth);
    }

    /** What stands between braces in it. */
    public function inner(int $from, int $to, int $line): self
    {
        return new self($this->css, $from, $to, $this->context, $line, $this->depth + 1);
    }

    public function under(RuleContext $context): self
    {
        return new self($this->css, $this->from, $this->to, $context, $this->line, $this->depth);
    }

    public function text(): string
    {
        return substr($this->css, $this->from, $this->to - $this->from);
    }

    public function hasBlocks(): bool
    {
        return strcspn($this->css, '{', $this->from, $this->to - $this->from) < $this->to - $this->from;
    }
}
