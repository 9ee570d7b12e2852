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
        $this->people();
        $this->gathering();
        $this->publishing();
    }

    private function people(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->timestamps();
        });
        Schema::create('sites', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('address');
            $table->string('timezone')->default('UTC');
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->primary(['user_id', 'site_id']);
        });
        Schema::create('credentials', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('channel');
            $table->text('secret');
            $table->timestamps();
            $table->unique(['site_id', 'channel']);
        });
    }

    private function gathering(): void
    {
        Schema::create('sources', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('key');
            $table->string('name');
            $table->string('channel');
            $table->string('address', 2000);
            $table->string('home', 2000)->nullable();
            $table->unsignedInteger('cadence');
            $table->string('etag')->nullable();
            $table->string('last_modified')->nullable();
            $table->unsignedInteger('failures')->default(0);
            $table->timestamp('next_at')->nullable();
            $table->timestamp('disconnected_at')->nullable();
            $table->timestamps();
            $table->unique(['site_id', 'key']);
            $table->index(['disconnected_at', 'next_at']);
        });
        Schema::create('rounds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('source_id')->constrained()->cascadeOnDelete();
            $table->string('outcome')->default('running');
            $table->text('reason')->nullable();
            $table->unsignedInteger('received')->default(0);
            $table->unsignedInteger('added')->default(0);
            $table->unsignedInteger('changed')->default(0);
            $table->unsignedInteger('same')->default(0);
            $table->unsignedInteger('gone')->default(0);
            $table->unsignedInteger('editions')->default(0);
            $table->json('problems')->nullable();
            $table->timestamp('started_at');
            $table->timestamp('finished_at')->nullable();
            $table->index(['source_id', 'id']);
        });
        Schema::create('entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->foreignId('source_id')->constrained()->cascadeOnDelete();
            $table->string('source');
            $table->string('native', 500);
            $table->string('ref', 600);
            $table->string('kind');
            $table->double('stars')->nullable();
            $table->unsignedInteger('length');
            $table->bigInteger('published')->nullable();
            $table->boolean('gone')->default(false);
            $table->boolean('hidden')->default(false);
            $table->timestamp('gone_at')->nullable();
            $table->string('digest');
            $table->json('payload');
            $table->timestamps();
            $table->unique(['source_id', 'native']);
            $table->unique(['site_id', 'ref']);
            $table->index(['site_id', 'published']);
            // All that a sieve asks, so that it never opens a row: payloads are long.
            $table->index(['site_id', 'source', 'kind', 'gone', 'hidden', 'stars', 'length', 'published', 'ref'], 'entries_facts');
        });
        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->json('payload');
            $table->timestamp('replaced_at');
        });
        // Trigrams find parts of words in every script, also in those that put no blanks between them.
        DB::statement("CREATE VIRTUAL TABLE entry_words USING fts5(author, title, text, tokenize='trigram')");
        $words = "json_extract(new.payload, '$.author.name'), json_extract(new.payload, '$.title'), json_extract(new.payload, '$.text')";
        DB::statement("CREATE TRIGGER entry_words_insert AFTER INSERT ON entries BEGIN
            INSERT INTO entry_words(rowid, author, title, text) VALUES (new.id, $words); END");
        DB::statement("CREATE TRIGGER entry_words_update AFTER UPDATE OF payload ON entries BEGIN
            DELETE FROM entry_words WHERE rowid = old.id;
            INSERT INTO entry_words(rowid, author, title, text) VALUES (new.id, $words); END");
        DB::statement('CREATE TRIGGER entry_words_delete AFTER DELETE ON entries BEGIN DELETE FROM entry_words WHERE rowid = old.id; END');
    }

    private function publishing(): void
    {
        Schema::create('widgets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('key')->unique();
            $table->string('name');
            $table->json('brief');
            $table->foreignId('edition_id')->nullable();
            $table->timestamps();
        });
        Schema::create('editions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('hash');
            $table->json('brief');
            $table->unsignedInteger('shown');
            $table->string('cause');
            $table->timestamp('created_at');
            $table->unique(['widget_id', 'number']);
        });
    }
};
