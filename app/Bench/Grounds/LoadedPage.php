<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Pictures\PictureFiles;
use App\Pictures\PictureIsWrong;
use Gnomic\Dress\Page\PageSelector;
use Gnomic\Dress\Page\Shorthands;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Entry\Html;
use Gnomic\Gather\Problem;
use Gnomic\Text\Address;
use Gnomic\Text\Words;

/** A page with its style sheets, each fetched once, and what was wrong with them. */
final class LoadedPage
{
    /** For the page, and for all its sheets and pictures together. */
    public const SECONDS = 15;

    private const SHEETS = 40;

    /** Pictures behind sections that are looked at. */
    private const PICTURES = 6;

    /** Bytes of all sheets together, unpacked. */
    private const BYTES = 8_000_000;

    /** @var array<string, array{css: string, name: string, address: string}|null> by address */
    private array $sheets = [];

    /** @var list<Problem> */
    private array $problems = [];

    private int $bytes = 0;

    private int $pictures = 0;

    /** @var array<string, array{string, string}|null> of pictures, by address */
    private array $extremes = [];

    private ?float $deadline = null;

    /** @param  string|null  $folder  that sheets may be read from; null: they are fetched */
    public function __construct(public readonly StyledPage $page, private readonly Fetcher $fetcher, private readonly ?string $folder)
    {
    }

    /** @return array{css: string, name: string, address: string}|null null where it cannot be had: it is told, and done without */
    public function fetch(string $address): ?array
    {
        if (! array_key_exists($address, $this->sheets)) {
            $this->sheets[$address] = $this->fetched($address);
        }

        return $this->sheets[$address];
    }

    /**
     * The darkest and the lightest colour of a picture of the page.
     *
     * @param  string  $address  as a style sheet has it
     * @return array{string, string}|null null where it cannot be had, or is no picture that can be looked at
     */
    public function extremes(string $address): ?array
    {
        return $this->extremes[$address] ??= $this->lookedAt($address);
    }

    /** @return array{string, string}|null */
    private function lookedAt(string $address): ?array
    {
        $whole = Address::resolved($address, $this->page->base());
        if ($this->pictures++ >= self::PICTURES || $this->left() <= 0) {
            return null;
        }
        try {
            if ($this->folder !== null) {
                $path = self::path($whole);

                return $path === null ? null : PictureFiles::extremes((string) file_get_contents($path));
            }
            $answer = $this->fetcher->within($this->left())->get($whole);

            return $answer->isOk() ? PictureFiles::extremes($answer->body) : null;
        } catch (FetchFailed|PictureIsWrong) {
            return null;
        }
    }

    /** Seconds that are left for what belongs to the page. */
    private function left(): int
    {
        $this->deadline ??= microtime(true) + self::SECONDS;

        return (int) ceil($this->deadline - microtime(true));
    }

    /** @param  string  $css  pasted by the owner where the page itself says too little */
    public function with(string $css): self
    {
        $sheet = $this->page->document->createElement('style');
        $sheet->appendChild($this->page->document->createTextNode($css));
        $this->page->document->documentElement?->appendChild($sheet);

        return $this;
    }

    /** @return list<Problem> */
    public function problems(): array
    {
        return $this->problems;
    }

    /** @return array{css: string, name: string, address: string}|null */
    private function fetched(string $address): ?array
    {
        $name = Words::filled(basename((string) parse_url($address, PHP_URL_PATH))) ?? $address;
        if (count($this->sheets) >= self::SHEETS) {
            return $this->without($name, 'there are more than '.self::SHEETS.' style sheets');
        }
        $left = $this->left();
        if ($left <= 0) {
            return $this->without($name, 'the style sheets before it took more than '.self::SECONDS.' seconds');
        }
        $css = $this->folder === null ? $this->overHttp($address, $name, $left) : $this->beside($address, $name);
        if ($css === null) {
            return null;
        }
        if ($this->bytes + strlen($css) > self::BYTES) {
            return $this->without($name, 'all style sheets together are larger than '.(self::BYTES / 1_000_000).' MB');
        }
        $this->bytes += strlen($css);

        return ['css' => $css, 'name' => $name, 'address' => $address];
    }

    private function overHttp(string $address, string $name, int $seconds): ?string
    {
        try {
            $answer = $this->fetcher->within($seconds)->get($address, ['Accept' => 'text/css']);
        } catch (FetchFailed $failure) {
            return $this->without($name, $failure->getMessage());
        }

        return $answer->isOk() ? $answer->body : $this->without($name, "its host answered with status $answer->status");
    }

    private function beside(string $address, string $name): ?string
    {
        $path = self::path($address);

        return $path === null ? $this->without($name, 'it does not lie beside the page') : (string) file_get_contents($path);
    }

    /** @return string|null of a file beside a page that is one */
    private static function path(string $address): ?string
    {
        $path = realpath(rawurldecode((string) parse_url($address, PHP_URL_PATH)));

        return str_starts_with($address, LoadPage::FILES) && $path !== false && is_file($path) ? $path : null;
    }

    private function without(string $name, string $why): null
    {
        $this->problems[] = new Problem("Style sheet $name", "left out: $why");

        return null;
    }

    /**
     * What a browser would compute for the first element that each selector finds.
     *
     * @param  list<string>  $selectors
     * @return array<string, array<string, string>|null>
     */
    public function computed(Viewport $viewport, array $selectors): array
    {
        $styles = $this->page->styles($viewport, $this->fetch(...));
        $told = [];
        foreach ($selectors as $selector) {
            $told[$selector] = null;
            foreach (Html::elements($this->page->document, '*') as $element) {
                if (array_filter(PageSelector::all($selector), fn (PageSelector $one): bool => $one->matches($element)) !== []) {
                    $computed = $styles->computed($element);
                    $told[$selector] = [
                        'color' => $computed->colour->toHex(),
                        'background-color' => $computed->background->toHex(),
                        'font-family' => $computed->family,
                        'font-size' => round($computed->size, 4).'px',
                        'font-weight' => (string) $computed->weight,
                        'line-height' => $computed->leading === null ? 'normal' : round($computed->leading, 4).'px',
                    ];
                    foreach (Shorthands::CORNERS as $corner) {
                        $told[$selector]["border-$corner-radius"] = round($computed->length("border-$corner-radius"), 4).'px';
                    }
                    break;
                }
            }
        }

        return $told;
    }
}
