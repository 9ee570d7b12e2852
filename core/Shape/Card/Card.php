<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Shape\Parts\Part;

/** One entry as it is shown: text only, nothing of it is markup. */
final readonly class Card
{
    /** @var array<class-string<Part>, Part> those that it shows */
    private array $parts;

    /**
     * @param  string  $ref  names it in addresses and in the page: of letters and figures
     * @param  list<CardBlock>  $blocks  its parts in their order, those that stand together in one
     * @param  string|null  $language  of the words, BCP 47
     * @param  string|null  $url  where it was said, where the card shows its source; null where that is not known
     * @param  string|null  $opens  where a click on it leads; null where it does nothing
     * @param  string  $called  for those who hear it: "Ines M., 9.2 of 10"
     * @param  bool  $isPicture  whether it is a picture and no more where entries are tiles, its words being in the enlarged view
     * @param  Weight  $weight  by which layouts make some larger than others
     */
    public function __construct(
        public string $id,
        public string $ref,
        public array $blocks,
        public ?string $language,
        public ?string $url,
        public ?string $opens,
        public string $called,
        public bool $isPicture,
        public Weight $weight,
    ) {
        $parts = [];
        foreach ($blocks as $block) {
            foreach ($block->parts as $part) {
                $parts[$part::class] = $part;
            }
        }
        $this->parts = $parts;
    }

    /**
     * A part, where the card shows it.
     *
     * @template T of Part
     *
     * @param  class-string<T>  $part
     * @return T|null
     */
    public function part(string $part): ?Part
    {
        $shown = $this->parts[$part] ?? null;

        return $shown instanceof $part ? $shown : null;
    }

    /** @return list<class-string<Part>> */
    public function parts(): array
    {
        return array_keys($this->parts);
    }
}
