<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

/** All that an edition is rendered from: the same inputs give the same files. */
final readonly class EditionInput
{
    /**
     * @param  Variants|null  $choice  by what the element on a page chooses one; null where there is nothing to show
     * @param  array<string, VariantInput>  $variants  by name, the usual one under ''; none for a widget that shows nothing
     * @param  list<EverythingPage>  $pages  of everything, the newest first; none where nothing leads there
     * @param  list<string>  $shown  references of what the usual one shows
     * @param  array<string, mixed>|null  $placement  what shows on which pages; null: the same everywhere
     * @param  bool  $isLong  whether there are more pages of everything than are made at once with the rest
     */
    private function __construct(
        public ?Variants $choice,
        public array $variants,
        public array $pages,
        public array $shown,
        public ?array $placement = null,
        public bool $isLong = false,
    ) {
    }

    /**
     * @param  array<string, VariantInput>  $variants  by name, the usual one under ''
     * @param  list<EverythingPage>  $pages
     * @param  list<string>  $shown
     */
    public static function of(?Variants $choice, array $variants, array $pages, array $shown, bool $isLong = false): self
    {
        return new self($choice, $variants, $pages, $shown, isLong: $isLong);
    }

    /** Of a widget that was taken away: whoever still has its code on a page shows nothing there. */
    public static function nothing(): self
    {
        return new self(null, [], [], []);
    }

    /** @param  array<string, mixed>|null  $placement */
    public function placed(?array $placement): self
    {
        return new self($this->choice, $this->variants, $this->pages, $this->shown, $placement, $this->isLong);
    }

    public function counted(bool $counts): self
    {
        $variants = array_map(fn (VariantInput $input): VariantInput => $input->counted($counts), $this->variants);

        return new self($this->choice, $variants, $this->pages, $this->shown, $this->placement, $this->isLong);
    }

    public function usual(): ?VariantInput
    {
        return $this->variants[''] ?? null;
    }

    /** @return list<mixed> another wherever a rendering might be another */
    public function inputs(): array
    {
        return [
            $this->choice?->manifest(),
            $this->placement,
            array_map(fn (VariantInput $input): array => $input->inputs(), $this->variants),
            array_map(fn (EverythingPage $page): array => [$page->name, $page->digest], $this->pages),
        ];
    }
}
