<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Source;
use App\Outbox\Outbox;
use App\Pictures\OwnPictures;
use App\Pictures\PictureIsWrong;
use App\Sources\Channels\Channels;
use Illuminate\Database\Eloquent\Collection;
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
            throw ValidationException::withMessages(['sign' => 'This picture is not there any more. Choose it again.']);
        }
        $called = $this->called($source);
        DB::transaction(function () use ($source, $called, $sign): void {
            Source::query()->whereKey($this->alike($source)->modelKeys())->update(['sign' => $sign]);
            $this->outbox->site($source->site, "$called is shown by ".($sign === null ? 'its name again' : 'a picture now'));
        });
    }

    /** What sources that are called so have already. */
    public function of(Source $source): ?string
    {
        return $this->alike($source)->whereNotNull('sign')->first()?->sign;
    }

    /** @return Collection<int, Source> */
    private function alike(Source $source): Collection
    {
        $called = $this->called($source);

        return $source->site->sources()->get()->filter(fn (Source $one): bool => $this->called($one) === $called);
    }

    /** What visitors know it by. */
    private function called(Source $source): string
    {
        return $this->channels->of($source->channel)->saidAt($source);
    }
}
