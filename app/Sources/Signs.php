<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Site;
use App\Models\Source;
use App\Outbox\Outbox;
use App\Pictures\OwnPictures;
use App\Pictures\PictureIsWrong;
use App\Sources\Channels\Channels;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The owner's own signs for services. Visitors know the service: all of a site's sources that are called alike have the same. */
final readonly class Signs
{
    public function __construct(private Channels $channels, private OwnPictures $pictures, private Outbox $outbox)
    {
    }

    /**
     * @param  string  $bytes  of a picture
     *
     * @throws PictureIsWrong
     */
    public function give(Source $source, string $bytes): void
    {
        $this->set($source, $this->pictures->keep($source->site, $bytes));
    }

    /**
     * @param  string|null  $sign  the address of one that was given before; null: its name stands there again
     *
     * @throws ValidationException where there is none
     */
    public function set(Source $source, ?string $sign): void
    {
        if ($sign === $source->sign) {
            return;
        }
        if ($sign !== null && ! $this->pictures->has($source->site, $sign)) {
            throw ValidationException::withMessages(['sign' => 'This sign is not there. Give its picture again.']);
        }
        $called = $this->channels->of($source->channel)->saidAt($source);
        $alike = $this->alike($source->site, $called);
        DB::transaction(function () use ($source, $alike, $called, $sign): void {
            Source::query()->whereKey($alike)->update(['sign' => $sign]);
            $this->outbox->site($source->site, $sign === null ? "$called has no sign of its own" : "$called has a sign of its own");
        });
    }

    /** What sources that are called so have already. */
    public function of(Source $source): ?string
    {
        $alike = $this->alike($source->site, $this->channels->of($source->channel)->saidAt($source));

        return Source::query()->whereKey($alike)->whereNotNull('sign')->first()?->sign;
    }

    /** @return list<int> */
    private function alike(Site $site, string $called): array
    {
        $alike = $site->sources()->get()
            ->filter(fn (Source $one): bool => $this->channels->of($one->channel)->saidAt($one) === $called);

        return array_values($alike->map(fn (Source $one): int => $one->id)->all());
    }
}
