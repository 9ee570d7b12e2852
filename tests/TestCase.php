<?php

declare(strict_types=1);

namespace Tests;

use App\Entries\EntryStore;
use App\Http\Middleware\Confirmed;
use App\Models\Site;
use App\Models\Source;
use App\Models\User;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\People\Sessions;
use Gnomic\Entry\Entry;
use Gnomic\Gather\Matching\Coverage;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Testing\Fakes\QueueFake;

abstract class TestCase extends FrameworkTestCase
{
    use RefreshDatabase;

    protected function site(string $name = 'Quillmoor Observatory'): Site
    {
        return Site::query()->create(['name' => $name, 'address' => 'quillmoor.example', 'timezone' => 'Europe/London']);
    }

    protected function ownerOf(Site $site, string $email = 'owner@quillmoor.example'): User
    {
        $owner = User::query()->create(['name' => 'Hester Quill', 'email' => $email, 'password' => 'a password']);
        $site->members()->attach($owner->id);

        return $owner;
    }

    /** As by the sign-in of the studio: the session is listed, and the password was given just now. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        self::assertInstanceOf(User::class, $user);
        parent::actingAs($user, $guard);
        $this->session([Confirmed::AT => now()->getTimestamp()]);
        app(Sessions::class)->begin($user, session()->driver(), 'Test');

        return $this;
    }

    protected function source(
        Site $site,
        string $key = 'the-dome',
        string $channel = 'feed',
        string $address = 'https://feeds.example/f',
    ): Source {
        return $site->sources()->create([
            'key' => $key,
            'name' => ucfirst($key),
            'channel' => $channel,
            'address' => $address,
            'cadence' => 3600,
            'next_at' => now(),
        ]);
    }

    /** @param  list<Entry>  $entries */
    protected function store(Source $source, array $entries): void
    {
        $this->app->make(EntryStore::class)->take($source, $entries, Coverage::Some, 'A test');
    }

    /**
     * Jobs that a faked queue was given.
     *
     * @template T of object
     *
     * @param  class-string<T>  $job
     * @return Collection<int, T>
     */
    protected function queued(string $job): Collection
    {
        $queue = Queue::getFacadeRoot();
        self::assertInstanceOf(QueueFake::class, $queue);

        return $queue->pushed($job)->filter(fn (object $one): bool => $one instanceof $job)->values();
    }

    /** Publishes what is on the bench; the queue runs at once in tests. */
    protected function publish(Widget $widget, string $cause = 'A test'): Widget
    {
        $this->app->make(Outbox::class)->widget($widget, $widget->draft(), $cause);

        return $widget->refresh();
    }
}
