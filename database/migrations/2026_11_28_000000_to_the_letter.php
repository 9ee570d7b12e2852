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
        // What of a table only the owner can say: which column is which, or how dates are written.
        Schema::table('imports', fn (Blueprint $table) => $table->string('asks')->nullable());
        Schema::table('sources', function (Blueprint $table): void {
            // When it was sent to the queue, until a worker has taken it up.
            $table->integer('queued_at')->nullable();
            // Of what was at its address when it was read last: another may have taken it over.
            $table->json('identity')->nullable();
        });
        // A removed widget is still out where its code stands: emptied, or as it is by the owner's word.
        Schema::table('widgets', function (Blueprint $table): void {
            $table->timestamp('removed_at')->nullable();
            $table->boolean('stays')->default(false);
        });
        // Words and labels are told apart otherwise than before: what was worked out of the entries is worked out again.
        foreach (EntryRecord::query()->lazyById(500) as $entry) {
            $prepared = PreparedEntry::of($entry->toCore(), $entry->digest);
            DB::table('entries')->where('id', $entry->id)->update(
                ['published' => $prepared->facts->published] + $prepared->askedColumns($entry->ref, $entry->own_labels ?? []),
            );
        }
    }
};
