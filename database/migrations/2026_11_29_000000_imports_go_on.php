<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // How often a worker has taken up what is to be done with it now.
        Schema::table('imports', fn (Blueprint $table) => $table->integer('tries')->default(0));
    }
};
