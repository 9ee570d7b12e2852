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
        $this->subjects();
        $this->access();
        $this->sources();
        $this->likeness();
        $this->imports();
        $this->pictures();
    }

    private function subjects(): void
    {
        Schema::create('subjects', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('key');
            $table->string('name');
            $table->string('kind')->nullable();
            $table->timestamps();
            $table->unique(['site_id', 'key']);
        });
        Schema::create('subject_addresses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->constrained()->cascadeOnDelete();
            $table->string('channel');
            $table->string('address', 2000);
            $table->timestamps();
            $table->unique(['subject_id', 'channel', 'address']);
        });
    }

    private function access(): void
    {
        Schema::create('grants', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('channel');
            $table->string('account');
            $table->json('scopes');
            $table->text('access');
            $table->text('refresh')->nullable();
            $table->timestamp('expires_at')->nullable();
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
            $table->unique(['site_id', 'channel', 'account']);
        });
    }

    private function sources(): void
    {
        Schema::table('sources', function (Blueprint $table): void {
            $table->foreignId('subject_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('grant_id')->nullable()->constrained()->nullOnDelete();
            $table->json('settings')->nullable();
            $table->json('profile')->nullable();
            $table->json('figures')->nullable();
            $table->json('quota')->nullable();
            $table->timestamp('removed_at')->nullable();
            $table->boolean('shows_gone')->default(false);
            $table->boolean('accepts_loss')->default(false);
        });
    }

    private function likeness(): void
    {
        Schema::table('entries', function (Blueprint $table): void {
            $table->foreignId('subject_id')->nullable();
            // Told again of another entry, which speaks for both: counted and shown once. The sources of those that speak
            // before it, between bars, since a brief may leave theirs out.
            $table->boolean('duplicate')->default(false);
            $table->string('told_by')->nullable();
            $table->foreignId('speaker_id')->nullable()->index();
            $table->text('private')->nullable();
            // The words as they came, where tidying changed them.
            $table->text('original')->nullable();
            $table->dropIndex('entries_facts');
            $table->index(
                ['site_id', 'source', 'kind', 'gone', 'hidden', 'told_by', 'stars', 'length', 'published', 'ref'],
                'entries_facts',
            );
        });
        Schema::create('likenesses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('other_id')->constrained('entries')->cascadeOnDelete();
            $table->double('score');
            $table->string('reason', 500);
            $table->string('verdict');
            $table->timestamps();
            $table->unique(['entry_id', 'other_id']);
        });
        // Where entries that may be alike meet; clustered by what is asked.
        DB::statement(
            'CREATE TABLE bands (site_id INTEGER NOT NULL, band INTEGER NOT NULL, entry_id INTEGER NOT NULL REFERENCES entries(id) ON '
                .'DELETE CASCADE, PRIMARY KEY (site_id, band, entry_id)) WITHOUT ROWID',
        );
        DB::statement('CREATE INDEX bands_entry ON bands (entry_id)');
    }

    private function imports(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('name');
            $table->string('state');
            $table->json('columns')->nullable();
            $table->string('dates')->nullable();
            $table->unsignedInteger('total')->default(0);
            $table->unsignedInteger('done')->default(0);
            $table->json('counts')->nullable();
            $table->text('reason')->nullable();
            $table->timestamps();
        });
        Schema::create('column_memories', function (Blueprint $table): void {
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('header');
            $table->json('columns');
            $table->string('dates')->nullable();
            $table->primary(['site_id', 'header']);
        });
    }

    private function pictures(): void
    {
        Schema::create('pictures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('url', 2000);
            $table->string('digest');
            $table->string('state')->default('waiting');
            $table->string('name')->nullable();
            $table->json('widths')->nullable();
            $table->unsignedInteger('width')->nullable();
            $table->unsignedInteger('height')->nullable();
            $table->unsignedInteger('tries')->default(0);
            $table->string('reason', 500)->nullable();
            $table->timestamps();
            $table->unique(['site_id', 'digest']);
            $table->index(['state', 'id']);
        });
    }
};
