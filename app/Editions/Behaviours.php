<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\Scheme;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Json\Value;

/** The scripts that bring parts of a widget to life: each a file of its own, named by its content, and fetched where it is needed. */
final class Behaviours
{
    /** @var array<string, string>|null files by name */
    private ?array $files = null;

    /** @param  string  $manifest  of the scripts that were built */
    public function __construct(private readonly string $manifest)
    {
    }

    /** @return list<string> files of those that a plan needs at once; each host serves its own */
    public function of(Plan $plan, Scheme $scheme): array
    {
        $names = [];
        foreach ($plan->cards === [] ? [] : $plan->layouts as $layout) {
            $names = [...$names, $layout::name(), ...$layout->behaviours()];
        }

        return $this->named([...$names, ...array_keys(array_filter([
            'choose' => ! $plan->choices->isEmpty(),
            'open' => $plan->enlarges(),
            'more' => $plan->shape->more !== 'none',
            'popovers' => $plan->opensOver(),
            'ago' => $plan->shape->date === 'relative',
            'scheme' => $scheme === Scheme::Page,
        ]))]);
    }

    /**
     * @param  list<string>  $names
     * @return list<string> files of those that there are, each once
     */
    public function named(array $names): array
    {
        return array_values(array_unique(array_filter(array_map($this->file(...), $names), is_string(...))));
    }

    /** @return string|null null where there is none of this name */
    public function file(string $name): ?string
    {
        return $this->all()[$name] ?? null;
    }

    /** Another wherever a script is another. */
    public function digest(): string
    {
        return hash('xxh128', json_encode($this->all(), JSON_THROW_ON_ERROR));
    }

    /** @return array<string, string> */
    private function all(): array
    {
        if ($this->files === null) {
            $read = json_decode((string) @file_get_contents($this->manifest), true);
            $this->files = Value::named($read);
        }

        return $this->files;
    }
}
