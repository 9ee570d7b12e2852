<?php

declare(strict_types=1);

namespace Standins;

/** An answer over HTTP, with honest validators. */
final readonly class Answer
{
    /** @param  array<string, string>  $headers */
    public function __construct(private int $status, private string $type, private string $body, private array $headers = [])
    {
    }

    /** @param  array<string, mixed>  $value */
    public static function json(array $value, int $status = 200): self
    {
        return new self(
            $status,
            'application/json; charset=utf-8',
            json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        );
    }

    public static function error(int $status, string $code, string $message): self
    {
        return self::json(['error' => ['code' => $code, 'message' => $message]], $status);
    }

    /** The same, or "not modified" where the asker has it already (RFC 9110 §13). */
    public function validated(string $etag, ?int $changed = null): self
    {
        $headers = $this->headers + ['ETag' => "\"$etag\""] + (
            $changed === null
                ? []
                : ['Last-Modified' => gmdate('D, d M Y H:i:s', $changed).' GMT']
        );
        $match = $_SERVER['HTTP_IF_NONE_MATCH'] ?? null;
        $since = strtotime((string) ($_SERVER['HTTP_IF_MODIFIED_SINCE'] ?? ''));
        $same = $match !== null ? trim((string) $match) === "\"$etag\"" : $changed !== null && $since !== false && $since >= $changed;

        return $same ? new self(304, $this->type, '', $headers) : new self($this->status, $this->type, $this->body, $headers);
    }

    public function send(): void
    {
        http_response_code($this->status);
        header("Content-Type: $this->type");
        foreach ($this->headers as $name => $value) {
            header("$name: $value");
        }
        echo $this->body;
    }
}
