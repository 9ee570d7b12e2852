<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What pictures look like before they are there. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('pictures', function (Blueprint $table): void {
            $table->string('colour', 4)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('pictures', fn (Blueprint $table) => $table->dropColumn('colour'));
    }
};
