@if ($part->face->address !== null)
<img class="face" part="face" src="{{ $part->face->address }}" width="40" height="40" alt="" loading="lazy" referrerpolicy="no-referrer">
@else
<span class="face u{{ $part->face->tone }}" part="face" aria-hidden="true">{{ $part->face->initials }}</span>
@endif
