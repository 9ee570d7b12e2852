<?php

declare(strict_types=1);

use Gnomic\Json\Value;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What was said of a widget on a page, by the hour: a verdict needs several that agree.
        Schema::table('sightings', function (Blueprint $table): void {
            $table->json('hours')->nullable();
            $table->index('last_at');
        });
        // Files are known by their hour and first line, and no longer by name and inode.
        foreach (DB::table('counted_files')->get(['name', 'offset']) as $row) {
            $name = Value::text($row->name);
            $file = @fopen(config()->string('gnomic.beacons')."/$name", 'r');
            $line = $file === false ? false : fgets($file, 16_384);
            DB::table('counted_files')->where('name', $name)->delete();
            if ($line !== false) {
                DB::table('counted_files')->insertOrIgnore(
                    ['name' => md5(substr($name, 0, 13).$line), 'inode' => 0, 'offset' => $row->offset],
                );
            }
        }
        Schema::table('counted_files', fn (Blueprint $table) => $table->dropColumn('inode'));
        // What visitors wait for comes first, and pages of everything last.
        Schema::table('outbox', function (Blueprint $table): void {
            $table->unsignedTinyInteger('rank')->default(1);
            $table->index(['site_id', 'rank', 'id']);
        });
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('digest', 64)->unique();
            $table->string('browser', 60);
            $table->timestamp('created_at');
            $table->timestamp('seen_at');
            $table->timestamp('ends_at');
            $table->index(['user_id', 'seen_at']);
        });
        Schema::create('security_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('what', 200);
            $table->unsignedInteger('times')->default(1);
            $table->timestamp('created_at')->index();
            $table->index(['user_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::drop('security_events');
        Schema::drop('sign_ins');
        Schema::table('outbox', function (Blueprint $table): void {
            $table->dropIndex(['site_id', 'rank', 'id']);
            $table->dropColumn('rank');
        });
        Schema::table('sightings', function (Blueprint $table): void {
            $table->dropIndex(['last_at']);
            $table->dropColumn('hours');
        });
        DB::table('counted_files')->delete();
        Schema::table('counted_files', fn (Blueprint $table) => $table->unsignedBigInteger('inode')->default(0));
    }
};
