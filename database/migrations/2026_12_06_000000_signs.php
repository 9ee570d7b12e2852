<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The owner's own sign for a service, beside its figures. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('sources', fn (Blueprint $table) => $table->string('sign', 100)->nullable());
    }

    public function down(): void
    {
        Schema::table('sources', fn (Blueprint $table) => $table->dropColumn('sign'));
    }
};
