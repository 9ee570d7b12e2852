<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The e-mail by which somebody sets a new password. */
final class NewPasswordMail extends Mailable
{
    public function __construct(public readonly string $address, public readonly int $minutes)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Set a new password for Gnomic');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.new-password');
    }
}
