<details class="translation quiet" part="translation"><summary>{{ $part->said }}</summary><p lang="{{ $part->language }}" dir="auto">{!! nl2br(e($part->text), false) !!}</p></details>
