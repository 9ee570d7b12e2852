<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Looks that a site keeps, its own words, and pages of its website on which widgets are proofed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('looks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40);
            $table->string('name', 60);
            $table->json('look');
            $table->timestamps();
            $table->unique(['site_id', 'key']);
        });
        Schema::create('grounds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('site_id')->constrained()->cascadeOnDelete();
            $table->string('address', 2000);
            // Addresses are long: this stands for them in the index.
            $table->string('digest', 32);
            $table->text('failure')->nullable();
            $table->longText('html')->nullable();
            $table->json('matched')->nullable();
            $table->timestamp('fetched_at')->nullable();
            $table->timestamps();
            $table->unique(['site_id', 'digest']);
            $table->index('fetched_at');
        });
        Schema::table('pictures', function (Blueprint $table): void {
            $table->json('extremes')->nullable();
        });
        Schema::table('sites', function (Blueprint $table): void {
            $table->json('words')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('sites', fn (Blueprint $table) => $table->dropColumn('words'));
        Schema::table('pictures', fn (Blueprint $table) => $table->dropColumn('extremes'));
        Schema::dropIfExists('grounds');
        Schema::dropIfExists('looks');
    }
};
