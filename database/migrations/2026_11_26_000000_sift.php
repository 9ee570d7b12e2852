<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $this->asked();
        $this->words();
        $this->rules();
    }

    /** What clauses ask of an entry, in columns, and all of them in one index, so that a sieve never opens a row. */
    private function asked(): void
    {
        Schema::table('entries', function (Blueprint $table): void {
            $table->boolean('held')->default(false);
            $table->json('held_for')->nullable();
            $table->boolean('barred')->default(false);
            $table->string('subject')->nullable();
            $table->string('author')->nullable();
            $table->string('language')->nullable();
            $table->unsignedInteger('pictures')->default(0);
            $table->boolean('replied')->default(false);
            $table->integer('likes')->nullable();
            $table->text('tags')->default('');
            $table->text('labels')->default('');
            $table->json('own_labels')->nullable();
            $table->text('said')->default('');
            $table->unsignedInteger('lot')->default(0);
            $table->dropIndex('entries_facts');
            $table->index(
                [
                    'site_id',
                    'source',
                    'kind',
                    'gone',
                    'hidden',
                    'held',
                    'barred',
                    'told_by',
                    'stars',
                    'length',
                    'published',
                    'subject',
                    'author',
                    'language',
                    'pictures',
                    'replied',
                    'likes',
                    'tags',
                    'labels',
                    'lot',
                    'ref',
                ],
                'entries_facts',
            );
            $table->index(['site_id', 'held']);
            $table->index(['site_id', 'author'], 'entries_authors');
        });
        // What entries agree in that are alike to most clauses; found class by class along an index of its own.
        DB::statement(
            'ALTER TABLE entries ADD COLUMN alike TEXT GENERATED ALWAYS AS (json_array(source, kind, gone, hidden, held, barred, '
                .'told_by, stars, length > 0, pictures > 0, replied, subject, language)) VIRTUAL',
        );
        DB::statement(
            'CREATE INDEX entries_alike ON entries (site_id, alike, published, ref, stars, length, lot, likes, source, author, '
                .'language, tags, labels)',
        );
        // The key of the subject goes with the subject, whoever sets it.
        DB::statement('UPDATE entries SET subject = (SELECT key FROM subjects WHERE subjects.id = entries.subject_id)');
        foreach (['INSERT', 'UPDATE OF subject_id'] as $when) {
            $name = 'entries_subject_'.strtolower(explode(' ', $when)[0]);
            DB::statement("CREATE TRIGGER $name AFTER $when ON entries WHEN new.subject_id IS NOT NULL OR new.subject IS NOT NULL BEGIN
                UPDATE entries SET subject = (SELECT key FROM subjects WHERE subjects.id = new.subject_id) WHERE id = new.id; END");
        }
    }

    /** The words as the core tells them apart, so that the index and the plain evaluation find the same. */
    private function words(): void
    {
        foreach (['insert', 'update', 'delete'] as $when) {
            DB::statement("DROP TRIGGER entry_words_$when");
        }
        DB::statement('DROP TABLE entry_words');
        DB::statement(
            "CREATE VIRTUAL TABLE entry_words USING fts5(author, said, content='entries', content_rowid='id', tokenize=\"ascii "
                ."tokenchars '_'\", prefix='2 3 4')",
        );
        $forget = "INSERT INTO entry_words(entry_words, rowid, author, said) VALUES ('delete', old.id, old.author, old.said)";
        $learn = 'INSERT INTO entry_words(rowid, author, said) VALUES (new.id, new.author, new.said)';
        DB::statement("CREATE TRIGGER entry_words_insert AFTER INSERT ON entries BEGIN $learn; END");
        DB::statement("CREATE TRIGGER entry_words_update AFTER UPDATE OF author, said ON entries BEGIN $forget; $learn; END");
        DB::statement("CREATE TRIGGER entry_words_delete AFTER DELETE ON entries BEGIN $forget; END");
        DB::statement("INSERT INTO entry_words(entry_words) VALUES ('rebuild')");
    }

    private function rules(): void
    {
        Schema::table('sites', function (Blueprint $table): void {
            $table->json('never')->nullable();
            $table->json('hold')->nullable();
        });
        Schema::table('subjects', fn (Blueprint $table) => $table->date('reopened_on')->nullable());
        Schema::create('views', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->json('wanted');
            $table->timestamps();
            $table->unique(['site_id', 'name']);
        });
        // What is out, entry by entry: where one is on show, and what other widgets leave out because of it.
        Schema::create('shown', function (Blueprint $table): void {
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('place');
            $table->primary(['widget_id', 'entry_id']);
            $table->index('entry_id');
        });
    }
};
