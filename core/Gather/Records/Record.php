<?php

declare(strict_types=1);

namespace Gnomic\Gather\Records;

use DateTimeImmutable;
use Gnomic\Dates\DateReader;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Text\Address;
use Gnomic\Text\Words;

/** A service's record, of which nothing is trusted: whatever is missing or of another type is null. */
final readonly class Record
{
    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values)
    {
    }

    public static function of(mixed $value): self
    {
        return new self(is_array($value) ? $value : []);
    }

    /** @throws PayloadIsUnreadable where the answer is no JSON object */
    public static function parsed(string $json, string $service): self
    {
        try {
            $value = JsonText::decode($json);
        } catch (JsonIsBroken $broken) {
            throw PayloadIsUnreadable::answer($service, "something that is no JSON ({$broken->getMessage()})");
        }

        return is_array($value) ? new self($value) : throw PayloadIsUnreadable::answer($service, 'JSON of another kind');
    }

    public function text(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return is_string($value) || is_int($value) ? Words::line((string) $value) : null;
    }

    public function words(string $name): string
    {
        $value = $this->values[$name] ?? null;

        return is_string($value) ? Words::tidy($value) : '';
    }

    /** As it came: for Body, which tidies. */
    public function raw(string $name): string
    {
        $value = $this->values[$name] ?? null;

        return is_string($value) ? $value : '';
    }

    public function number(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    public function int(string $name): ?int
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) && $value >= 0 ? $value : null;
    }

    public function date(string $name): ?DateTimeImmutable
    {
        $written = $this->text($name);

        return $written === null ? null : DateReader::read($written);
    }

    public function address(string $name): ?string
    {
        return Address::webOrNull($this->text($name), null);
    }

    public function record(string $name): self
    {
        return self::of($this->values[$name] ?? null);
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    /** @return list<self> */
    public function records(string $name): array
    {
        $list = $this->values[$name] ?? null;

        return is_array($list) ? array_values(array_map(self::of(...), array_filter($list, is_array(...)))) : [];
    }
}
