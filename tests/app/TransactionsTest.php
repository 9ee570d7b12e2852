<?php

declare(strict_types=1);

namespace Tests\app;

use App\Host\Database\WritingConnection;
use PDO;
use PDOException;
use PHPUnit\Framework\TestCase;
use RuntimeException;

/** Transactions of two at a time: whoever comes second waits, and nobody fails for having read before writing. */
final class TransactionsTest extends TestCase
{
    private string $path;

    protected function setUp(): void
    {
        $this->path = sys_get_temp_dir().'/gnomic-'.bin2hex(random_bytes(6)).'.sqlite';
        $this->pdo()->exec('PRAGMA journal_mode = WAL; CREATE TABLE things (name TEXT)');
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("$this->path*") ?: []);
    }

    private function pdo(int $wait = 0): PDO
    {
        $pdo = new PDO("sqlite:$this->path");
        $pdo->exec("PRAGMA busy_timeout = $wait");

        return $pdo;
    }

    public function test_a_transaction_that_reads_first_can_write_whatever_others_do(): void
    {
        $ours = new WritingConnection($this->pdo());
        $theirs = $this->pdo();
        $ours->transaction(function () use ($ours, $theirs): void {
            self::assertSame(0, (int) $ours->table('things')->count());
            try {
                $theirs->exec("INSERT INTO things VALUES ('theirs')");
                self::fail('They did not have to wait.');
            } catch (PDOException $exception) {
                self::assertStringContainsString('locked', $exception->getMessage());
            }
            $ours->table('things')->insert(['name' => 'ours']);
        });
        $theirs->exec("INSERT INTO things VALUES ('theirs')");
        self::assertSame(['ours', 'theirs'], $ours->table('things')->orderBy('rowid')->pluck('name')->all());
    }

    public function test_one_that_cannot_begin_leaves_the_connection_fit_for_the_next(): void
    {
        $theirs = $this->pdo();
        $theirs->exec('BEGIN IMMEDIATE');
        $ours = new WritingConnection($this->pdo());
        try {
            $ours->transaction(fn (): bool => $ours->table('things')->insert(['name' => 'early']));
            self::fail('It did not have to wait.');
        } catch (PDOException $exception) {
            self::assertStringContainsString('locked', $exception->getMessage());
        }
        $theirs->exec('COMMIT');
        self::assertSame(0, $ours->transactionLevel());
        $ours->transaction(fn (): bool => $ours->table('things')->insert(['name' => 'late']));
        try {
            $ours->transaction(function () use ($ours): void {
                $ours->table('things')->insert(['name' => 'never']);
                throw new RuntimeException('changed its mind');
            });
        } catch (RuntimeException) {
            // as meant
        }
        self::assertSame(['late'], $ours->table('things')->pluck('name')->all());
    }

    /** As on a full disk: the commit fails and the transaction stays, or the database has already left it (sqlite.org/lang_transaction.html). */
    public function test_one_that_cannot_end_leaves_the_connection_fit_for_the_next(): void
    {
        $this->pdo()->exec('CREATE TABLE parts (thing TEXT REFERENCES things (name) DEFERRABLE INITIALLY DEFERRED, UNIQUE (thing)); '
            .'CREATE UNIQUE INDEX names ON things (name)');
        $ours = new WritingConnection($this->pdo());
        $ours->statement('PRAGMA foreign_keys = ON');
        $wrongs = [
            'FOREIGN KEY' => fn (): bool => $ours->table('parts')->insert(['thing' => 'of nothing']),
            'UNIQUE' => fn (): bool => $ours->statement("INSERT OR ROLLBACK INTO things VALUES ('twice'), ('twice')"),
        ];
        foreach ($wrongs as $words => $wrong) {
            try {
                $ours->transaction($wrong);
                self::fail('It was taken.');
            } catch (PDOException $exception) {
                self::assertStringContainsString($words, $exception->getMessage(), 'what was wrong, not what followed from it');
            }
            self::assertSame(0, $ours->transactionLevel());
            $ours->transaction(fn (): bool => $ours->table('things')->insert(['name' => "after $words"]));
            self::assertSame("after $words", $ours->table('things')->orderByDesc('rowid')->value('name'));
        }
        self::assertSame(2, $ours->table('things')->count());
    }
}
