<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('findings', function (Blueprint $table): void {
            $table->boolean('was_sent')->default(false);
            $table->timestamp('gone_since')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('findings', fn (Blueprint $table) => $table->dropColumn(['was_sent', 'gone_since']));
    }
};
