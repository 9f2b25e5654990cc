import '@/ui/without-eval';
