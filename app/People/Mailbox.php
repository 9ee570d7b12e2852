<?php

declare(strict_types=1);

namespace App\People;

use RuntimeException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** Where no server for mail is set, as in the demo: letters are put into a file that can be read (mbox, RFC 4155). */
final class Mailbox extends AbstractTransport
{
    public function __construct(private readonly string $file)
    {
        parent::__construct();
    }

    protected function doSend(SentMessage $message): void
    {
        $letter = (string) preg_replace('/^(>*From )/m', '>$1', str_replace("\r\n", "\n", $message->toString()));
        if (@file_put_contents($this->file, 'From gnomic '.gmdate('D M d H:i:s Y')."\n$letter\n\n", FILE_APPEND | LOCK_EX) === false) {
            throw new RuntimeException("$this->file cannot be written.");
        }
        @chmod($this->file, 0640);
    }

    public function __toString(): string
    {
        return 'mailbox';
    }
}
