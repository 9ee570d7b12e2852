<?php

declare(strict_types=1);

namespace App\Host\Database;

use Illuminate\Database\SQLiteConnection;
use PDOException;
use Throwable;

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

    /** @param  int  $toLevel */
    protected function performRollBack($toLevel): void
    {
        $toLevel === 0 ? $this->settle() : parent::performRollBack($toLevel);
    }

    /**
     * @param  int  $currentAttempt
     * @param  int  $maxAttempts
     */
    protected function handleCommitTransactionException(Throwable $e, $currentAttempt, $maxAttempts): void
    {
        $this->settle();
        parent::handleCommitTransactionException($e, $currentAttempt, $maxAttempts);
    }

    /**
     * Ends a transaction that went wrong, whether the database is still within it or, as on a full disk, has left it by
     * itself: either way the next one can begin, for whoever works on with this connection.
     */
    private function settle(): void
    {
        $pdo = $this->getPdo();
        if (! $pdo->inTransaction()) {
            return;
        }
        try {
            $pdo->exec('ROLLBACK');
        } catch (PDOException) {
            // the database has done so itself
        }
        $pdo->exec('BEGIN');
        $pdo->rollBack();
    }
}
