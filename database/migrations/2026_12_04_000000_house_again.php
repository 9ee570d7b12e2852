<?php

declare(strict_types=1);

use Gnomic\Edition\Plan\Cards;
use Gnomic\Json\Value;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const AT_ONCE = 1_000;

    /** What names an entry on pages, so that counts are turned back into entries by an index. */
    public function up(): void
    {
        Schema::table('entries', fn (Blueprint $table) => $table->string('card_ref', 8)->nullable());
        DB::table('entries')->select(['id', 'source', 'ref'])->orderBy('id')->chunkById(self::AT_ONCE, function ($entries): void {
            foreach ($entries as $entry) {
                $ref = Cards::refOf(Value::text($entry->source), Value::text($entry->ref));
                DB::table('entries')->where('id', $entry->id)->update(['card_ref' => $ref]);
            }
        });
        Schema::table('entries', fn (Blueprint $table) => $table->index(['site_id', 'card_ref'], 'entries_by_card'));
    }

    public function down(): void
    {
        Schema::table('entries', function (Blueprint $table): void {
            $table->dropIndex('entries_by_card');
            $table->dropColumn('card_ref');
        });
    }
};
