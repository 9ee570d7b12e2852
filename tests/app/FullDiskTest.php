<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\EditionNotWritten;
use App\Host\DiskIsFull;
use App\Http\KeptSessions;
use App\Models\RoundOutcome;
use App\Outbox\Outbox;
use App\Sources\Imports\ApplyTable;
use App\Sources\Imports\LookAtTable;
use App\Sources\Rounds\Rounds;
use ErrorException;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use PDOException;
use RuntimeException;
use Tests\TestCase;
use Throwable;

/** A disk without room: /dev/full answers every write as one does (full(4)), and a database that may grow no more as SQLite does on it. */
final class FullDiskTest extends TestCase
{
    use Servers;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/gnomic-full-'.bin2hex(random_bytes(6));
        mkdir("$this->folder/logs", 0755, true);
        symlink('/dev/full', "$this->folder/logs/laravel.log");
        config(['logging.channels.single.path' => "$this->folder/logs/laravel.log"]);
        Log::forgetChannel();
        $this->beforeApplicationDestroyed(fn (): bool => File::deleteDirectory($this->folder));
    }

    public function test_what_cannot_be_logged_is_answered_all_the_same(): void
    {
        self::assertFalse(@file_put_contents("$this->folder/logs/laravel.log", 'x'), 'the log has no room');
        Log::error('This goes nowhere.');
        Route::get('stumbles', fn () => throw new RuntimeException('It stumbled.'));
        Route::get('writes', fn () => file_put_contents('/dev/full', 'words'));
        $this->get('/stumbles')->assertStatus(500);
        $this->get('/writes')->assertStatus(503)->assertHeader('Content-Type', 'text/plain; charset=utf-8')->assertSee(DiskIsFull::MESSAGE);
    }

    public function test_a_table_that_finds_no_room_leaves_nothing_behind(): void
    {
        $this->app->useStoragePath($this->folder);
        mkdir("$this->folder/app/imports", 0755, true);
        symlink('/dev/full', "$this->folder/app/imports/1.table");
        $owner = $this->ownerOf($this->site());
        $hand = fn () => $this->actingAs($owner)->post('/api/imports', [
            'kind' => 'entries', 'file' => UploadedFile::fake()->createWithContent('past.csv', "author,text,rating\nOdile,Quiet,5\n"),
        ], ['Accept' => 'application/json']);
        $hand()->assertStatus(503)->assertExactJson(['message' => DiskIsFull::MESSAGE]);
        self::assertSame(0, DB::table('imports')->count());
        unlink("$this->folder/app/imports/1.table");
        $hand()->assertCreated();
    }

    public function test_a_database_without_room_says_so_and_takes_the_next_once_there_is(): void
    {
        $owner = $this->ownerOf($this->site());
        $asked = fn () => $this->actingAs($owner)->postJson('/api/testimonials', ['author' => 'Odile', 'text' => str_repeat('words ', 1_500)]);
        DB::statement('PRAGMA max_page_count = 1'); // no more than there are
        $asked()->assertStatus(503)->assertExactJson(['message' => DiskIsFull::MESSAGE]);
        $this->actingAs($owner)->getJson('/api/entries')->assertOk()->assertJsonCount(0, 'entries');
        DB::statement('PRAGMA max_page_count = 4294967294');
        $asked()->assertCreated();
        $this->actingAs($owner)->getJson('/api/entries')->assertJsonCount(1, 'entries');
    }

    public function test_a_round_and_an_import_say_what_it_was_and_go_on_once_there_is_room(): void
    {
        $this->startStandins();
        $source = $this->source($this->withKey($this->site()), 'the-dome', 'wayleaf', 'wl-dome');
        DB::statement('PRAGMA max_page_count = 1');
        $round = $this->app->make(Rounds::class)->run($source);
        self::assertSame([RoundOutcome::Failed, 0], [$round?->outcome, $source->entries()->count()]);
        self::assertStringContainsString('disk is full', (string) $round?->reason);
        DB::statement('PRAGMA max_page_count = 4294967294');
        self::assertSame(RoundOutcome::Changed, $this->app->make(Rounds::class)->run($source->refresh())?->outcome);
        self::assertSame(98, $source->entries()->count());
        $import = $source->site->imports()->create(['kind' => 'entries', 'name' => 'past.csv', 'state' => 'looking']);
        (new LookAtTable($import->id))->failed(new ErrorException('fwrite(): Write of 9 bytes failed with errno=28 No space left on device'));
        self::assertStringContainsString('disk is full', (string) $import->refresh()->reason);
        $import->update(['state' => 'importing']);
        (new ApplyTable($import->id))->failed(new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full'));
        self::assertStringContainsString('start the import again', (string) $import->refresh()->reason);
    }

    public function test_an_edition_that_found_no_room_is_tried_within_the_minute_however_long_there_was_none(): void
    {
        $widget = $this->site()->widgets()->create(['key' => 'fullwidget', 'name' => 'Full', 'brief' => ['version' => 2]]);
        $outbox = $this->app->make(Outbox::class);
        $wait = function (Throwable $fault) use ($outbox, $widget): int {
            DB::table('outbox')->delete();
            $outbox->failed($widget, null, 'A test', 9, $fault);

            return (int) DB::table('outbox')->value('due_at') - now()->getTimestamp();
        };
        $this->freezeSecond();
        self::assertSame(30, $wait(EditionNotWritten::at('w/fullwidget')));
        self::assertSame(30, $wait(new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full')));
        self::assertSame(300, $wait(new RuntimeException('A picture is not there.')));
    }

    public function test_who_is_signed_in_stays_so_and_nobody_new_seems_to_be(): void
    {
        mkdir("$this->folder/sessions");
        $sessions = new KeptSessions(new Filesystem, "$this->folder/sessions", 60);
        $sessions->write('known', 'who they are');
        foreach (['known', 'new'] as $id) {
            symlink('/dev/full', "$this->folder/sessions/$id.".getmypid());
        }
        self::assertTrue($sessions->write('known', 'what they did last'));
        self::assertSame('who they are', $sessions->read('known'));
        try {
            $sessions->write('new', 'who they are');
            self::fail('It seemed to have begun.');
        } catch (ErrorException $fault) {
            self::assertTrue(DiskIsFull::caused($fault), $fault->getMessage());
        }
        self::assertSame(['known'], array_values(array_diff(scandir("$this->folder/sessions") ?: [], ['.', '..'])));
        $sessions->write('known', 'what they did last');
        self::assertSame('what they did last', $sessions->read('known'));
    }
}
