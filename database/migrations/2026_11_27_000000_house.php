<?php

declare(strict_types=1);

use App\Entries\PreparedEntry;
use App\Models\EntryRecord;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        foreach (['native' => 'source_entry_id', 'told_by' => 'duplicate_of', 'lot' => 'shuffle_key'] as $old => $new) {
            DB::statement("ALTER TABLE entries RENAME COLUMN $old TO $new");
        }
        // What is asked of those that the index of words found: narrow, where a row with all its words is wide.
        DB::statement('CREATE INDEX entries_by_id ON entries (id, site_id, published, ref, alike)');
        $this->wordsBySite();
        foreach (EntryRecord::query()->lazyById(500) as $entry) {
            DB::table('entries')->where('id', $entry->id)->update(
                PreparedEntry::of($entry->toCore(), $entry->digest)->askedColumns($entry->ref, $entry->own_labels ?? []),
            );
        }
        Schema::table('sites', function (Blueprint $table): void {
            // Languages that the widgets speak to visitors, the usual one first.
            $table->json('languages')->default('["en"]');
            // The day at the site that its widgets have been turned to.
            $table->string('turned_on')->nullable();
        });
        // Tells whether an edition would be another if it were made now.
        Schema::table('editions', fn (Blueprint $table) => $table->string('fingerprint')->nullable());
        // What has to be rendered, written with the change itself and worked off until it is done.
        Schema::create('outbox', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->foreignId('round_id')->nullable()->constrained()->nullOnDelete();
            $table->json('what');
            $table->string('cause', 300);
            $table->unsignedInteger('tries')->default(0);
            $table->integer('due_at')->default(0);
            $table->timestamp('created_at');
            $table->index(['site_id', 'due_at']);
        });
    }

    /** Whose words they are stands in their index, so that one site's are found without looking at another's. */
    private function wordsBySite(): void
    {
        foreach (['insert', 'update', 'delete'] as $when) {
            DB::statement("DROP TRIGGER entry_words_$when");
        }
        DB::statement('DROP TABLE entry_words');
        DB::statement(
            "CREATE VIRTUAL TABLE entry_words USING fts5(author, said, site_id, content='entries', content_rowid='id', "
                ."tokenize=\"ascii tokenchars '_'\", prefix='2 3 4')",
        );
        $forget = 'INSERT INTO entry_words(entry_words, rowid, author, said, site_id) '
            ."VALUES ('delete', old.id, old.author, old.said, old.site_id)";
        $learn = 'INSERT INTO entry_words(rowid, author, said, site_id) VALUES (new.id, new.author, new.said, new.site_id)';
        DB::statement("CREATE TRIGGER entry_words_insert AFTER INSERT ON entries BEGIN $learn; END");
        DB::statement("CREATE TRIGGER entry_words_update AFTER UPDATE OF author, said ON entries BEGIN $forget; $learn; END");
        DB::statement("CREATE TRIGGER entry_words_delete AFTER DELETE ON entries BEGIN $forget; END");
        DB::statement("INSERT INTO entry_words(entry_words) VALUES ('rebuild')");
    }
};
