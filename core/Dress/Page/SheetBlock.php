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
     * @param  string  $name  of the sheet, for people
     * @param  string  $layer  what sorts its rules
     * @param  string|null  $parent  selector of the rule that it is nested in
     * @param  int  $line  in which it begins, 1 for the first
     * @param  int  $depth  how many blocks and sheets it stands in
     */
    private function __construct(
        public string $css,
        public int $from,
        public int $to,
        public string $name,
        public string $layer,
        public ?string $parent,
        public int $line,
        public int $depth,
    ) {
    }

    public static function sheet(string $css, string $name, string $layer, int $depth): self
    {
        return new self($css, 0, strlen($css), $name, $layer, null, 1, $depth);
    }

    /** What stands between braces in it. */
    public function inner(int $from, int $to, int $line): self
    {
        return new self($this->css, $from, $to, $this->name, $this->layer, $this->parent, $line, $this->depth + 1);
    }

    public function under(string $layer, ?string $parent): self
    {
        return new self($this->css, $this->from, $this->to, $this->name, $layer, $parent, $this->line, $this->depth);
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
