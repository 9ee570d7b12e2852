<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** Pages of a site, spots on them, whether widgets are there, and counts of what visitors do. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('sites', function (Blueprint $table): void {
            $table->string('key', 40)->nullable()->unique();
            // The front page, whole; null: https:// and the address.
            $table->string('website', 2000)->nullable();
            // Hosts on which widgets show; null: everywhere.
            $table->json('allowed')->nullable();
            $table->boolean('counts')->default(true);
            $table->timestamp('pages_read_at')->nullable();
            $table->json('pages_read')->nullable();
        });
        foreach (DB::table('sites')->pluck('id') as $id) {
            DB::table('sites')->where('id', $id)->update(['key' => Str::lower(Str::random(12))]);
        }
        Schema::table('subjects', fn (Blueprint $table) => $table->json('identities')->nullable());
        Schema::table('widgets', function (Blueprint $table): void {
            // A form of another widget, for a spot or a trial, made by itself and shown in no list.
            $table->foreignId('variant_of')->nullable()->constrained('widgets')->cascadeOnDelete();
            $table->string('variant', 120)->nullable();
            $table->json('overrides')->nullable();
            $table->unique(['variant_of', 'variant']);
        });
        Schema::table('editions', fn (Blueprint $table) => $table->json('room')->nullable());
        $this->pages();
        $this->counts();
    }

    private function pages(): void
    {
        Schema::create('pages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('address', 2000);
            // Addresses are long: this stands for them in the index.
            $table->string('digest', 32);
            $table->string('path', 2000);
            // The first step of the path, by which pages are grouped.
            $table->string('branch', 200);
            $table->string('title', 300)->nullable();
            $table->string('language', 35)->nullable();
            $table->string('modified', 40)->nullable();
            $table->string('found_by', 20);
            $table->json('widgets')->nullable();
            $table->text('failure')->nullable();
            $table->timestamp('seen_at')->nullable();
            $table->timestamp('checked_at')->nullable();
            $table->timestamps();
            $table->unique(['site_id', 'digest']);
            $table->index(['site_id', 'branch', 'path']);
            $table->index(['site_id', 'checked_at']);
        });
        Schema::create('spots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->string('key', 20)->unique();
            $table->json('spot');
            $table->timestamp('removed_at')->nullable();
            $table->timestamps();
            $table->index(['site_id', 'removed_at']);
        });
        Schema::create('findings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_id')->constrained()->cascadeOnDelete();
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->string('verdict', 30);
            $table->json('told');
            $table->timestamp('first_there_at')->nullable();
            $table->timestamp('last_there_at')->nullable();
            $table->timestamp('missing_since')->nullable();
            $table->timestamp('checked_at');
            $table->unique(['page_id', 'widget_id']);
            $table->index(['site_id', 'missing_since']);
        });
    }

    private function counts(): void
    {
        Schema::create('counted', function (Blueprint $table): void {
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->date('day');
            $table->string('page', 300);
            $table->string('width', 8);
            foreach (['shown', 'views', 'openings', 'reads', 'clicks', 'engaged'] as $kind) {
                $table->unsignedBigInteger($kind)->default(0);
            }
            $table->primary(['widget_id', 'day', 'page', 'width']);
        });
        Schema::create('counted_entries', function (Blueprint $table): void {
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->date('day');
            $table->string('entry', 40);
            foreach (['openings', 'reads', 'clicks'] as $kind) {
                $table->unsignedBigInteger($kind)->default(0);
            }
            $table->primary(['widget_id', 'day', 'entry']);
        });
        // What widgets say of where they are: evidence that fetching a page cannot give.
        Schema::create('sightings', function (Blueprint $table): void {
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            $table->string('page', 300);
            $table->timestamp('first_at');
            $table->timestamp('last_at');
            $table->unsignedInteger('narrowest')->nullable();
            $table->unsignedInteger('widest')->nullable();
            $table->unsignedInteger('last_width')->nullable();
            $table->string('last_fault', 10)->nullable();
            $table->json('errors')->nullable();
            $table->primary(['widget_id', 'page']);
        });
        Schema::create('counted_files', function (Blueprint $table): void {
            $table->string('name', 60)->primary();
            $table->unsignedBigInteger('inode');
            $table->unsignedBigInteger('offset');
        });
        Schema::create('trials', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->foreignId('widget_id')->constrained()->cascadeOnDelete();
            // The widget as it is published, and the other version: forms of it, so that each is counted by itself.
            $table->foreignId('this_id')->constrained('widgets')->cascadeOnDelete();
            $table->foreignId('other_id')->constrained('widgets')->cascadeOnDelete();
            $table->timestamp('started_at');
            $table->timestamp('ended_at')->nullable();
            $table->string('kept', 10)->nullable();
            $table->json('told')->nullable();
            $table->index(['widget_id', 'ended_at']);
        });
    }

    public function down(): void
    {
        foreach (['trials', 'counted_files', 'sightings', 'counted_entries', 'counted', 'findings', 'spots', 'pages'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('widgets', function (Blueprint $table): void {
            $table->dropUnique(['variant_of', 'variant']);
            $table->dropColumn(['variant_of', 'variant', 'overrides']);
        });
        Schema::table('subjects', fn (Blueprint $table) => $table->dropColumn('identities'));
        Schema::table('editions', fn (Blueprint $table) => $table->dropColumn('room'));
        Schema::table('sites', function (Blueprint $table): void {
            $table->dropUnique(['key']);
            $table->dropColumn(['key', 'website', 'allowed', 'counts', 'pages_read_at', 'pages_read']);
        });
    }
};
