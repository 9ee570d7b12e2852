<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;
use PDOException;

/**
 * A transaction waits for its turn to write before it reads anything. Begun as usual, one that reads first and writes then
 * fails at once where another has written in between, however long it would be ready to wait; and before PHP 8.4 the
 * framework does not begin it otherwise, whatever its settings say.
 */
final class WritingConnection extends SQLiteConnection
{
    protected function executeBeginTransactionStatement(): void
    {
        $pdo = $this->getPdo();
        $pdo->beginTransaction(); // for its own count; the database's is begun anew
        $pdo->exec('COMMIT');
        try {
            $pdo->exec('BEGIN IMMEDIATE TRANSACTION');
        } catch (PDOException $exception) {
            $pdo->exec('BEGIN');
            $pdo->rollBack();

            throw $exception;
        }
    }
}
