<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Gnomic\Json\Value;
use Illuminate\Validation\Validator;

/** A testimonial as the owner writes it down. */
final class WriteTestimonial extends Asked
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'author' => ['required', 'string', 'max:100'],
            'role' => ['nullable', 'string', 'max:100'],
            'place' => ['nullable', 'string', 'max:100'],
            'email' => ['nullable', 'email', 'max:200'],
            'title' => ['nullable', 'string', 'max:200'],
            'text' => ['nullable', 'string', 'max:10000'],
            'rating' => ['nullable', 'numeric', 'min:1', 'max:5'],
            'date' => ['nullable', 'date_format:Y-m-d'],
            'labels' => ['nullable', 'string', 'max:500'],
            'subject' => ['nullable', 'string', 'max:100'], 'picture' => ['nullable', 'file', 'max:10240'],
        ];
    }

    /** @return list<Closure> */
    public function after(): array
    {
        return [function (Validator $checked): void {
            $says = trim(Value::text($this->input('text')).Value::text($this->input('title'))) !== '';
            if (! $says && $this->input('rating') === null && $checked->errors()->isEmpty()) {
                $checked->errors()->add('text', 'Write what was said, or give at least a title or a rating.');
            }
        }];
    }
}
