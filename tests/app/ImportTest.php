<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\EntryRecord;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Site;
use App\Sources\Imports\ApplyTable;
use App\Sources\Imports\BrokenOff;
use App\Sources\Imports\LookAtTable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

final class ImportTest extends TestCase
{
    private Site $site;

    protected function setUp(): void
    {
        parent::setUp();
        $this->site = $this->site();
        $this->actingAs($this->ownerOf($this->site));
        $this->app->useStoragePath((string) getenv('GNOMIC_DATA').'/storage');
        File::deleteDirectory(storage_path('app/imports'));
    }

    /**
     * @param  array<string, mixed>  $data
     * @return TestResponse<Response>
     */
    private function ask(string $method, string $path, array $data = [], ?string $at = null): TestResponse
    {
        $response = $this->json(strtoupper($method), '/api'.($at ?? $path), $data);
        Contract::assertKept($method, $path, $response);

        return $response;
    }

    /** Handed over and looked at; the queue runs at once in tests. */
    private function handed(string $contents, string $kind = 'entries', string $name = 'past.csv'): Import
    {
        $response = $this->post(
            '/api/imports',
            ['kind' => $kind, 'file' => UploadedFile::fake()->createWithContent($name, $contents)],
            ['Accept' => 'application/json'],
        );
        Contract::assertKept('post', '/imports', $response);

        return Import::query()->whereKey($response->json('id'))->firstOrFail();
    }

    public function test_a_table_is_looked_at_imported_and_the_second_time_changes_nothing(): void
    {
        $csv = "author,said at,date,rating,text,subject,labels\nWilma,Gazette,2026-04-03,5,We saw the rings and the rings saw us.,The "
            ."Dome,\"warm, kind\"\nEben,Gazette,2026-04-05,4 of 5,Cold feet but a warm welcome.,The Dome,\nIda,,2026-04-06,,Told at "
            ."the gate.,,\nX,Gazette,nonsense,9/5,words,,\n";
        $import = $this->handed($csv);
        self::assertSame([ImportState::Ready, ['new' => 3, 'changed' => 0, 'same' => 0, 'wrong' => 1]], [$import->state, $import->counts]);
        self::assertSame(0, EntryRecord::query()->count(), 'nothing is imported by looking');
        $rows = $this->ask('get', '/imports/{id}/rows', at: "/imports/$import->id/rows")->json('rows');
        self::assertSame(['new', 'new', 'new', 'wrong'], array_column($rows, 'what'));
        $wrong = (string) $this->get("/api/imports/$import->id/wrong.csv")->assertOk()->getContent();
        self::assertStringContainsString('why', (string) strtok($wrong, "\n"));
        self::assertStringContainsString('""nonsense"" is no date', $wrong);

        $this->ask('post', '/imports/{id}/applied', at: "/imports/$import->id/applied")->assertAccepted();
        self::assertSame(ImportState::Done, $import->refresh()->state);
        self::assertSame(['review', 'review', 'testimonial'], EntryRecord::query()->orderBy('published')->pluck('kind')->all());
        self::assertSame(['Gazette', 'Past entries'], $this->site->sources()->orderBy('id')->pluck('name')->all());
        self::assertSame(2, EntryRecord::query()->whereNotNull('subject_id')->count());

        $again = $this->handed($csv);
        self::assertSame(['new' => 0, 'changed' => 0, 'same' => 3, 'wrong' => 1], $again->counts);
        $touched = EntryRecord::query()->max('updated_at');
        $this->ask('post', '/imports/{id}/applied', at: "/imports/$again->id/applied");
        self::assertSame(3, EntryRecord::query()->count());
        self::assertSame($touched, EntryRecord::query()->max('updated_at'));

        $edited = $this->handed("id,author,said at,text\nr1,Wilma,Notes,First words of mine.\n");
        $this->ask('post', '/imports/{id}/applied', at: "/imports/$edited->id/applied");
        $edited = $this->handed("id,author,said at,text\nr1,Wilma,Notes,Other words of mine.\n");
        self::assertSame(1, $edited->counts['changed'] ?? null);
        $this->ask('post', '/imports/{id}/applied', at: "/imports/$edited->id/applied");
        self::assertSame(1, EntryRecord::query()->where('source_entry_id', 'r1')->firstOrFail()->revisions()->count());
        self::assertSame(0, EntryRecord::query()->where('gone', true)->count(), 'nothing goes for not being in a table');
    }

    public function test_columns_and_dates_are_put_right_and_remembered(): void
    {
        $csv = "Q1,Q2,Q3\nOlga Ruskin,03/04/2026,It was bright and it was quiet and we liked both.\nPim Daal,05/06/2026,Nobody minded "
            ."that we asked the same question twice.\n";
        $import = $this->handed($csv);
        self::assertSame([ImportState::Asking, ['author' => 0, 'date' => 1, 'text' => 2]], [$import->state, $import->columns]);
        $this->ask(
            'patch',
            '/imports/{id}',
            ['columns' => ['role' => 0, 'date' => 1, 'text' => 2], 'dates' => 'month first'],
            "/imports/$import->id",
        )->assertOk();
        self::assertSame(ImportState::Ready, $import->refresh()->state);
        $first = $this->ask('get', '/imports/{id}/rows', at: "/imports/$import->id/rows")->json('rows.0.entry');
        self::assertSame(
            ['Olga Ruskin', null, '2026-03-04'],
            [$first['author']['role'], $first['author']['name'], substr((string) $first['published'], 0, 10)],
        );
        $this->ask('post', '/imports/{id}/applied', at: "/imports/$import->id/applied");
        $next = $this->handed(str_replace('Olga', 'Vera', $csv));
        self::assertSame([ImportState::Ready, 'month first', 0], [$next->state, $next->dates, $next->columns['role'] ?? null]);
    }

    public function test_json_lines(): void
    {
        $import = $this->handed(
            "\xEF\xBB\xBF{\"id\":\"1\",\"kind\":\"review\",\"text\":\"Words of one.\",\"rating\":{\"value\":4}}\n{\"id\":\"2\",\"kind\":\"review\",\"rating\":{\"value\":7}}\n",
            name: 'past.jsonl',
        );
        self::assertSame(['new' => 1, 'changed' => 0, 'same' => 0, 'wrong' => 1], $import->counts);
        self::assertStringContainsString('line,why', (string) $this->get("/api/imports/$import->id/wrong.csv")->getContent());
    }

    public function test_files_that_are_none_are_told(): void
    {
        foreach ([
            '%PDF-1.7' => 'a PDF',
            "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".str_repeat("\0", 600) => 'old kind',
        ] as $contents => $says) {
            $import = $this->handed((string) $contents);
            self::assertSame(ImportState::Failed, $import->state);
            self::assertStringContainsString($says, (string) $import->reason);
        }
        $this->postJson('/api/imports', ['kind' => 'entries'])->assertUnprocessable();
    }

    public function test_a_table_without_names_is_asked_about_and_then_taken(): void
    {
        $csv = "5,2026-01-13,\"We had a wonderful evening up there, thank you all\",Jo Moss\n4,2026-01-14,Cold and clear and worth every step up,Al Hill\n";
        $import = $this->handed($csv);
        self::assertSame(
            [ImportState::Asking, ['rating' => 0, 'date' => 1, 'text' => 2, 'author' => 3]],
            [$import->state, collect($import->columns)->sort()->all()],
        );
        self::assertStringContainsString('No row of this file names its columns', (string) $import->reason);
        $this->ask('get', '/imports/{id}', at: "/imports/$import->id")->assertJsonPath('header.3', ['name' => 'Column 4', 'sample' => ['Jo Moss', 'Al Hill']]);
        $this->ask('patch', '/imports/{id}', ['columns' => $import->columns], "/imports/$import->id")->assertJsonPath('state', 'ready');
        self::assertSame([ImportState::Asking, 2], [($next = $this->handed($csv))->state, $next->total], 'made up names are not remembered');
    }

    public function test_templates_are_read_back(): void
    {
        foreach (['csv', 'xlsx'] as $form) {
            $template = (string) $this->get("/api/templates/entries.$form")->assertOk()->getContent();
            $import = $this->handed($template, name: "t.$form");
            self::assertSame([ImportState::Ready, 0], [$import->state, $import->total], (string) $import->reason);
            self::assertCount(11, $import->columns ?? []);
        }
        $filled = str_replace(
            "\r\n",
            "\r\nThe Dome,Venue,wl-dome,,,,,\r\n",
            (string) $this->get('/api/templates/subjects.csv')->getContent(),
        );
        $import = $this->handed($filled, 'subjects');
        $this->ask('post', '/imports/{id}/applied', at: "/imports/$import->id/applied");
        $this->ask('get', '/subjects')->assertJsonPath('subjects.0.cells.0.addresses.0.address', 'wl-dome');
    }

    public function test_what_ends_its_worker_time_after_time_is_given_up(): void
    {
        Queue::fake();
        foreach ([[ImportState::Looking, ImportState::Failed], [ImportState::Importing, ImportState::Ready]] as [$state, $left]) {
            $import = $this->site->imports()->create(
                ['kind' => 'entries', 'name' => 'x.csv', 'state' => $state, 'tries' => 2, 'updated_at' => now()->subMinute()],
            );
            $broken = $this->app->make(BrokenOff::class);
            self::assertSame(1, $broken->mend());
            self::assertSame($state, $import->refresh()->state, 'sent a third time');
            $import->update(['tries' => 3, 'updated_at' => now()->subMinute()]);
            self::assertSame(1, $broken->mend());
            self::assertSame($left, $import->refresh()->state);
            self::assertStringContainsString('three times', (string) $import->reason);
        }
        Queue::assertPushed(LookAtTable::class, 1);
        Queue::assertPushed(ApplyTable::class, 1);
    }

    public function test_anothers_import_is_not_found(): void
    {
        $import = $this->handed("text\nWords\n");
        $this->actingAs($this->ownerOf($this->site('Theirs'), 'other@theirs.example'));
        foreach (['', '/rows', '/wrong.csv'] as $part) {
            $this->getJson("/api/imports/$import->id$part")->assertNotFound();
        }
        $this->postJson("/api/imports/$import->id/applied")->assertNotFound();
    }
}
